import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { newId } from '../../api/client';
import type { AssemblyFacts } from '../../api/types';
import { useTicked } from '../../offline/useTicked';
import { useJob } from '../../job/JobContext';
import { LinkButton } from '../../shell/LinkButton';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { Failed } from './Failed';
import { useAssembly } from './useAssembly';

type Condition = AssemblyFacts['conditions'][number];

const KINDS: { code: Condition['kind']; says: string }[] = [
    { code: 'before', says: 'goes in before' },
    { code: 'blocks', says: 'once in, blocks the way of' },
    { code: 'loose until', says: 'has its screws loose until there is' },
    { code: 'covers', says: 'covers the screws of' },
    { code: 'reached before', says: 'has to be reached (hand, spanner, crane) before there is' },
];

/** What goes in after what, each with how its joints go together; moved, and held against the conditions. */
export function InOrder({ turn }: { turn: (code: string, on: boolean) => void }) {
    const { facts, answers } = useJob();
    const ticked = useTicked();
    const { say } = useSettings();
    const { assembly, change } = useAssembly();
    const { together } = answers.assembly;
    if (facts.parts.length < 2) {
        return null;
    }
    const parts = together.items
        .filter((item) => item.code.startsWith('in:'))
        .map((item) => item.code.slice(3));
    const move = (part: string, by: number) => {
        const at = parts.indexOf(part);
        const order = parts.filter((one) => one !== part);
        order.splice(Math.max(0, at + by), 0, part);
        void change(() => ({ order }));
    };
    return (
        <Box component="section" aria-label="In this order" sx={{ mt: 2 }}>
            <Typography variant="h2" sx={{ borderBottom: 1, borderColor: 'divider', pb: 0.5 }}>
                In this order
            </Typography>
            {!together.ordered && (
                <Typography variant="body2" color="textSecondary" sx={{ mt: 0.5 }}>
                    As the parts stand in the job. Say under Survey how it came apart, and it is that
                    backwards.
                </Typography>
            )}
            <Notes notes={together.notes} />
            <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
                {together.items.map((item, i) => {
                    const part = item.code.startsWith('in:') ? item.code.slice(3) : null;
                    return (
                        <Box
                            component="li"
                            key={item.code}
                            sx={{
                                display: 'grid',
                                gridTemplateColumns: {
                                    xs: '2.75rem 1.875rem minmax(0, 1fr)',
                                    sm: '2.75rem 1.875rem 1fr auto',
                                },
                                borderBottom: 1,
                                borderColor: 'divider',
                                py: 0.5,
                                alignItems: 'start',
                            }}
                        >
                            <Checkbox
                                checked={ticked(item.code, item.ticked)}
                                slotProps={{ input: { 'aria-label': `Done: ${item.name}` } }}
                                onChange={(_, on) => turn(item.code, on)}
                            />
                            <Typography variant="smallSize" color="make" sx={{ pt: 1.1 }}>
                                {i + 1}
                            </Typography>
                            <Box sx={{ pt: 0.9 }}>
                                <Typography sx={{ fontWeight: 600 }}>{item.name}</Typography>
                                {item.how.map((how, k) => (
                                    <Typography key={k} variant="body2">
                                        {say(how)}
                                    </Typography>
                                ))}
                                <Notes notes={item.notes} />
                            </Box>
                            {part === null ? (
                                <Box component="span" sx={{ display: { xs: 'none', sm: 'block' } }} />
                            ) : (
                                <Box sx={{ display: 'flex', gridColumn: { xs: '3', sm: 'auto' } }}>
                                    <IconButton
                                        sx={{ width: 44, height: 44 }}
                                        aria-label={`Earlier: ${item.name}`}
                                        disabled={parts[0] === part}
                                        onClick={() => move(part, -1)}
                                    >
                                        ↑
                                    </IconButton>
                                    <IconButton
                                        sx={{ width: 44, height: 44 }}
                                        aria-label={`Later: ${item.name}`}
                                        disabled={parts.at(-1) === part}
                                        onClick={() => move(part, 1)}
                                    >
                                        ↓
                                    </IconButton>
                                </Box>
                            )}
                            <Box sx={{ gridColumn: '3 / -1', display: 'flex', flexWrap: 'wrap', mt: -0.75 }}>
                                <Failed code={item.code} name={item.name} failed={item.failed} />
                            </Box>
                        </Box>
                    );
                })}
            </Box>
            {assembly.order.length > 0 && (
                <LinkButton onClick={() => void change(() => ({ order: [] }))}>
                    Back to the order it came apart in
                </LinkButton>
            )}
            <Conditions />
        </Box>
    );
}

/** What the order has to keep to. */
function Conditions() {
    const { facts, answers } = useJob();
    const { assembly, change } = useAssembly();
    const [kind, setKind] = useState<Condition['kind']>('before');
    const [part, setPart] = useState('');
    const [other, setOther] = useState('');
    const [note, setNote] = useState('');
    const name = (id: string) => facts.parts.find((one) => one.id === id)?.name ?? 'a part that is gone';
    const add = () => {
        const one = { id: newId(), kind, part, other, note: note.trim() };
        void change((now) => ({ conditions: [...now.conditions, one] })).then(() => setNote(''));
    };
    const select = (label: string, value: string, set: (id: string) => void, without: string) => (
        <TextField select label={label} value={value} onChange={(event) => set(event.target.value)}>
            {facts.parts
                .filter((one) => one.id !== without)
                .map((one) => (
                    <MenuItem key={one.id} value={one.id}>
                        {one.name}
                    </MenuItem>
                ))}
        </TextField>
    );
    return (
        <Box sx={{ mt: 1 }}>
            {assembly.conditions.map((one) => (
                <Box key={one.id} sx={{ display: 'flex', gap: 1, alignItems: 'baseline', flexWrap: 'wrap' }}>
                    <Typography>
                        <b>{name(one.part)}</b>{' '}
                        {answers.assembly.together.conditions.find((c) => c.id === one.id)?.says}{' '}
                        <b>{name(one.other)}</b>
                        {one.note === '' ? '' : ` (${one.note})`}
                    </Typography>
                    <LinkButton
                        size="small"
                        aria-label={`Take it out: ${name(one.part)} ${one.kind} ${name(one.other)}`}
                        onClick={() =>
                            void change((now) => ({
                                conditions: now.conditions.filter((c) => c.id !== one.id),
                            }))
                        }
                    >
                        Take it out
                    </LinkButton>
                </Box>
            ))}
            <Box
                component="form"
                onSubmit={(event) => {
                    event.preventDefault();
                    add();
                }}
                sx={{
                    display: 'grid',
                    gap: 1.25,
                    mt: 1,
                    alignItems: 'start',
                    gridTemplateColumns: {
                        xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                        md: '1fr 1.2fr 1fr 1fr auto',
                    },
                }}
            >
                {select('This part', part, setPart, other)}
                <TextField
                    select
                    label="Condition"
                    value={kind}
                    onChange={(event) => setKind(event.target.value as Condition['kind'])}
                >
                    {KINDS.map((one) => (
                        <MenuItem key={one.code} value={one.code}>
                            {one.says}
                        </MenuItem>
                    ))}
                </TextField>
                {select('That part', other, setOther, part)}
                <TextField
                    label="Because"
                    value={note}
                    slotProps={{ htmlInput: { maxLength: 500 } }}
                    onChange={(event) => setNote(event.target.value)}
                />
                <Button
                    type="submit"
                    variant="outlined"
                    color="inherit"
                    disabled={part === '' || other === ''}
                >
                    Add the condition
                </Button>
            </Box>
        </Box>
    );
}
