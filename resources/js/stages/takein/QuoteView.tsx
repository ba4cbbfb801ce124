import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { QuoteFacts } from '../../api/types';
import { NumberFact } from '../../entry/NumberFact';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { Framed } from '../../pictures/Framed';
import { Why } from '../../shell/Why';
import { Costs } from './Costs';
import { Operations } from './Operations';
import { PriceBar } from './PriceBar';

const VERDICTS: { code: NonNullable<QuoteFacts['decided']>; says: string }[] = [
    { code: 'take', says: 'Take it' },
    { code: 'at-this-price', says: 'At this price' },
    { code: 'alternative', says: 'Offer an alternative' },
    { code: 'decline', says: 'Decline' },
];

/** What it takes and costs, what makes it longer than it looks, and what to answer. */
export function QuoteView() {
    const { facts, save, answers } = useJob();
    const { quote } = answers;
    const given = facts.quote;
    const currency = facts.shop.currency;
    const store = (changes: Partial<QuoteFacts>) => save(null, '', { quote: changes });
    return (
        <>
            <Framed pad={1.75} strong>
                <Box
                    sx={{
                        display: 'grid',
                        gap: 2,
                        gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) minmax(0, 1fr)' },
                    }}
                >
                    <Box>
                        <Typography variant="body2">{quote.verdict_says}</Typography>
                        <Typography variant="bigSize" color="make" sx={{ my: 0.25 }}>
                            {quote.price_from} – {quote.price_to}
                        </Typography>
                        <Typography>
                            {quote.hours_from.toFixed(1)} to {quote.hours_to.toFixed(1)} hours for{' '}
                            {facts.take_in.quantity} {facts.take_in.quantity === 1 ? 'piece' : 'pieces'}
                        </Typography>
                        <PriceBar />
                    </Box>
                    <Box>
                        {quote.reasons.map((reason) => (
                            <Box
                                key={reason}
                                sx={{ borderLeft: 5, borderColor: 'strong.main', pl: 1.25, my: 0.5 }}
                            >
                                <Typography variant="body2">
                                    {reason}
                                    {quote.risks
                                        .filter(
                                            (risk) => reason.toLowerCase() === `${risk.says}.`.toLowerCase(),
                                        )
                                        .map((risk) => (
                                            <b key={risk.code}> ×{risk.factor.toFixed(2)}</b>
                                        ))}
                                </Typography>
                            </Box>
                        ))}
                    </Box>
                </Box>
                <ToggleButtonGroup
                    exclusive
                    value={given.decided}
                    aria-label="What we answer"
                    onChange={(_, decided: QuoteFacts['decided']) => void store({ decided })}
                    sx={{ mt: 1.5, flexWrap: 'wrap' }}
                >
                    {VERDICTS.map((verdict) => (
                        <ToggleButton key={verdict.code} value={verdict.code}>
                            {verdict.says}
                            {verdict.code === quote.advised ? ' (advised)' : ''}
                        </ToggleButton>
                    ))}
                </ToggleButtonGroup>
                <Box sx={{ mt: 1.5 }}>
                    <TextFact
                        label="In our own words"
                        value={given.reason}
                        store={(reason) => store({ reason })}
                    />
                </Box>
            </Framed>
            <Operations />
            <Costs />
            <Typography variant="h2" sx={{ mt: 2.5, mb: 1.25 }}>
                Could it be bought?
            </Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    gridTemplateColumns: {
                        xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                        sm: '1fr 1fr 2fr',
                    },
                    alignItems: 'start',
                }}
            >
                <NumberFact
                    label={`A bought one costs, ${currency}`}
                    value={given.bought_price}
                    store={(bought_price) => store({ bought_price })}
                />
                <NumberFact
                    label="and comes in, days"
                    value={given.bought_lead_days}
                    store={(bought_lead_days) => store({ bought_lead_days })}
                />
                <TextFact
                    label="Another way to do it"
                    value={given.alternative}
                    store={(alternative) => store({ alternative })}
                />
            </Box>
            <FormControlLabel
                control={
                    <Checkbox
                        checked={given.first_of_its_kind}
                        onChange={(_, first_of_its_kind) => void store({ first_of_its_kind })}
                    />
                }
                label="The first of its kind here"
            />
            <Why steps={quote.working} label="Why this price" picture={quote.picture} />
            <Letter />
        </>
    );
}

function Letter() {
    const { facts, answers } = useJob();
    return (
        <Box component="section" sx={{ mt: 2 }}>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25, mb: 1, flexWrap: 'wrap' }}>
                <Typography variant="h2" sx={{ flex: 1 }}>
                    What to send
                </Typography>
                <Button
                    variant="outlined"
                    color="inherit"
                    href={`/api/jobs/${facts.id}/letter?as=text`}
                    download
                >
                    As text
                </Button>
                <Button
                    variant="outlined"
                    color="inherit"
                    href={`/api/jobs/${facts.id}/letter?as=pdf`}
                    target="_blank"
                >
                    As PDF
                </Button>
            </Box>
            <Framed pad={1.75}>
                <Typography sx={{ whiteSpace: 'pre-line' }}>{answers.quote.letter}</Typography>
            </Framed>
        </Box>
    );
}
