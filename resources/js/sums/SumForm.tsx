import Box from '@mui/material/Box';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import { client, orRefuse } from '../api/client';
import type { Drawing, Sums } from '../api/types';
import { useKept } from '../entry/useKept';
import { DrawingView } from '../pictures/DrawingView';
import { Framed } from '../pictures/Framed';
import { LinkButton } from '../shell/LinkButton';
import { Notes } from '../shell/Notes';
import { Why } from '../shell/Why';
import { Outcome } from './Outcome';
import { inMillimetres, labelled, understood, written } from './values';

type Sum = Sums['sums'][number];

/** One sum: what it takes, as typed, and what comes of it beside. */
export function SumForm({ sum }: { sum: Sum }) {
    const example = Object.fromEntries(sum.takes.map((key) => [key, written(sum.example[key])]));
    const [typed, setTyped] = useKept<Record<string, string>>(`sum:${sum.name}`, example);
    const input = Object.fromEntries(
        sum.takes
            .map((key) => {
                const text = typed[key] ?? '';
                return [
                    key,
                    understood(key.endsWith('_mm') ? inMillimetres(text) : text, sum.example[key]),
                ] as const;
            })
            .filter(([, value]) => value !== undefined),
    );
    const asked = useDeferredValue(JSON.stringify(input));
    const answer = useQuery({
        queryKey: ['sum', sum.name, asked],
        queryFn: async () =>
            orRefuse(
                await client.POST('/api/sums/{name}', {
                    params: { path: { name: sum.name } },
                    body: JSON.parse(asked) as Record<string, unknown>,
                }),
            ),
        placeholderData: keepPreviousData,
        retry: false,
    });
    const refused = answer.error as (Error & { field?: string }) | null;
    const picture = answer.data?.picture as Drawing | undefined;
    return (
        <Box component="section" aria-label={sum.says}>
            <Typography variant="h2">{sum.says}</Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 2.5,
                    gridTemplateColumns: { xs: '1fr', lg: '300px minmax(0, 1fr)' },
                    mt: 1.5,
                }}
            >
                <Box sx={{ display: 'grid', gap: 1.25, alignContent: 'start' }}>
                    {sum.takes.map((key) => (
                        <Taken
                            key={key}
                            name={key}
                            text={typed[key] ?? ''}
                            long={typeof sum.example[key] === 'object'}
                            must={key in sum.example}
                            change={(text) => setTyped((now) => ({ ...now, [key]: text }))}
                        />
                    ))}
                    <LinkButton onClick={() => setTyped(example)}>Back to the example</LinkButton>
                </Box>
                <Box>
                    {refused ? (
                        <Box sx={{ borderLeft: 5, borderColor: 'overlap.main', pl: 1.5 }} role="alert">
                            <Typography variant="said">{refused.message}</Typography>
                        </Box>
                    ) : (
                        answer.data && (
                            <>
                                <Outcome data={answer.data} />
                                {picture && (
                                    <Framed pad={0.5}>
                                        <DrawingView drawing={picture} />
                                    </Framed>
                                )}
                                <Notes notes={answer.data.notes} />
                                <Why steps={answer.data.working} label="Why these numbers" />
                            </>
                        )
                    )}
                </Box>
            </Box>
        </Box>
    );
}

function Taken({
    name,
    text,
    long,
    must,
    change,
}: {
    name: string;
    text: string;
    long: boolean;
    must: boolean;
    change: (text: string) => void;
}) {
    const { name: label, unit } = labelled(name);
    const inches = unit === 'mm' && inMillimetres(text) !== text;
    return (
        <TextField
            label={must ? label : `${label} (may stay empty)`}
            value={text}
            multiline={long || text.includes('\n')}
            helperText={
                inches
                    ? `${inMillimetres(text)} mm`
                    : unit === 'mm' && text === ''
                      ? 'mm, or with in after it'
                      : null
            }
            onChange={(event) => change(event.target.value)}
            slotProps={{
                input:
                    unit === ''
                        ? {}
                        : { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> },
                htmlInput: { inputMode: long ? 'text' : 'decimal' },
            }}
        />
    );
}
