import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { newId } from '../../api/client';
import type { Cost } from '../../api/types';
import { NumberFact } from '../../entry/NumberFact';
import { RemoveButton } from '../../entry/RemoveButton';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { LinkButton } from '../../shell/LinkButton';
import { useSettings } from '../../shell/settings';

const KINDS: Cost['kind'][] = ['material', 'outside work', 'consumables', 'tool to buy'];

/** What has to be bought: material by weight or by the piece, outside work, tools. */
export function Costs() {
    const { facts, save, answers } = useJob();
    const { say } = useSettings();
    return (
        <Box component="section" aria-label="To buy" sx={{ mt: 2.5 }}>
            <Typography variant="h2" sx={{ mb: 1.25 }}>
                To buy
            </Typography>
            <Box sx={{ display: 'grid', gap: 1.25 }}>
                {facts.costs.map((cost) => (
                    <CostRow key={cost.id} cost={cost} comes={answers.quote.amounts[cost.id] ?? ''} />
                ))}
            </Box>
            {answers.quote.to_buy
                .filter(
                    (one) => !facts.costs.some((cost) => cost.id === `buy-${one.code.replaceAll(':', '-')}`),
                )
                .map((one) => (
                    <Box key={one.code} sx={{ borderLeft: 5, borderColor: 'found.main', pl: 1.25, my: 1 }}>
                        <Typography variant="body2">{say(one.says)}</Typography>
                        <LinkButton
                            onClick={() =>
                                void save('costs', `buy-${one.code.replaceAll(':', '-')}`, {
                                    kind: 'tool to buy',
                                    name: say(one.says).split(/[:.]/)[0] ?? 'A tool',
                                    amount: 0,
                                })
                            }
                        >
                            Into what has to be bought
                        </LinkButton>
                    </Box>
                ))}
            <Button
                variant="outlined"
                color="inherit"
                sx={{ mt: 1.25 }}
                onClick={() =>
                    void save('costs', newId(), { kind: 'consumables', name: 'Something to buy', amount: 0 })
                }
            >
                Add something to buy
            </Button>
        </Box>
    );
}

function CostRow({ cost, comes }: { cost: Cost; comes: string }) {
    const { facts, save } = useJob();
    const currency = facts.shop.currency;
    const store = (changes: Partial<Cost>) => save('costs', cost.id, changes);
    const byWeight = cost.price_per_kg !== null;
    return (
        <Box
            sx={{
                display: 'grid',
                gap: 1.25,
                gridTemplateColumns: {
                    xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                    sm: '9.375rem 1fr 8.125rem 8.125rem 7.5rem 2.75rem',
                },
                alignItems: 'start',
            }}
        >
            <TextField
                select
                label="Kind"
                value={cost.kind}
                onChange={(event) => void store({ kind: event.target.value as Cost['kind'] })}
            >
                {KINDS.map((kind) => (
                    <MenuItem key={kind} value={kind}>
                        {kind}
                    </MenuItem>
                ))}
            </TextField>
            <TextFact label="What" value={cost.name} store={(name) => store({ name })} />
            {byWeight ? (
                <>
                    <NumberFact
                        label={`${currency} a kg`}
                        value={cost.price_per_kg}
                        store={(price_per_kg) => store({ price_per_kg })}
                    />
                    <NumberFact
                        label="Blank, kg"
                        value={cost.mass_kg}
                        store={(mass_kg) => store({ mass_kg })}
                        helperText={cost.mass_kg === null ? 'half over its weight' : ''}
                    />
                </>
            ) : (
                <>
                    <NumberFact
                        label={`Costs, ${currency}`}
                        value={cost.amount}
                        store={(amount) => store({ amount })}
                    />
                    <TextField
                        select
                        label="For"
                        value={cost.each_piece ? 'each' : 'all'}
                        onChange={(event) => void store({ each_piece: event.target.value === 'each' })}
                    >
                        <MenuItem value="each">each piece</MenuItem>
                        <MenuItem value="all">all together</MenuItem>
                    </TextField>
                </>
            )}
            <Typography sx={{ alignSelf: 'center', textAlign: 'right' }}>
                {comes}
                {cost.each_piece || byWeight ? ' each' : ''}
            </Typography>
            <RemoveButton name={cost.name} remove={() => save('costs', cost.id, null)} />
        </Box>
    );
}
