import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import { client, orRefuse } from '../api/client';
import type { Sums } from '../api/types';
import { useKept } from '../entry/useKept';
import { LinkButton } from '../shell/LinkButton';
import { useSettings } from '../shell/settings';
import { KeepInJob } from './KeepInJob';
import { Result } from './Result';
import { SumField } from './SumField';
import { figure, labelled } from './values';

type Sum = Sums['sums'][number];

/** One sum: what it takes, as typed, and what comes of it beside. */
export function SumForm({ sum }: { sum: Sum }) {
    const { typing } = useSettings();
    const example = typing === 'mm' ? sum.typed : sum.typed_in;
    const [typed, setTyped] = useKept<Record<string, string>>(`sum:${sum.name}`, example);
    const asked = useDeferredValue(JSON.stringify({ given: typed, unit: typing }));
    const answer = useQuery({
        queryKey: ['sum', sum.name, asked],
        queryFn: async () =>
            orRefuse(
                await client.POST('/api/sums/{name}/typed', {
                    params: { path: { name: sum.name } },
                    body: JSON.parse(asked) as { given: Record<string, string>; unit: 'in' | 'mm' },
                }),
            ),
        placeholderData: keepPreviousData,
        retry: false,
    });
    const refused = answer.error as (Error & { field?: string }) | null;
    const read = (answer.data?.read ?? {}) as Record<string, unknown>;
    return (
        <Box component="section" aria-label={sum.says}>
            <Typography variant="h2">{sum.title}</Typography>
            <Typography color="textSecondary">{sum.says}</Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 2.5,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: '21.25rem minmax(0, 1fr)' },
                    mt: 1.5,
                }}
            >
                <Box sx={{ display: 'grid', gap: 1.25, alignContent: 'start' }}>
                    {sum.takes.map((key) => (
                        <SumField
                            key={key}
                            name={key}
                            text={typed[key] ?? ''}
                            like={sum.example[key]}
                            must={key in sum.example}
                            words={sum.words}
                            choices={sum.choices[key]}
                            unit={typing}
                            read={understood(typed[key] ?? '', key, read[key])}
                            refused={refused?.field === key ? refused.message : null}
                            change={(text) => setTyped((now) => ({ ...now, [key]: text }))}
                        />
                    ))}
                    <LinkButton sx={{ justifySelf: 'start' }} onClick={() => setTyped(example)}>
                        Back to the example
                    </LinkButton>
                </Box>
                {/* On a narrow screen the number stands before what was typed for it. */}
                <Box sx={{ order: { xs: -1, lg: 0 } }}>
                    {refused ? (
                        <Box sx={{ borderLeft: 5, borderColor: 'overlap.main', pl: 1.5 }} role="alert">
                            <Typography variant="said">{refused.message}</Typography>
                        </Box>
                    ) : (
                        answer.data && <Result data={answer.data} words={sum.words} />
                    )}
                    <KeepInJob sum={sum} given={typed} unit={typing} />
                </Box>
            </Box>
        </Box>
    );
}

/** What a length was read as, where the text is not that number itself. */
function understood(text: string, key: string, value: unknown): string | null {
    return key.endsWith('_mm') && typeof value === 'number' && text.trim() !== String(value)
        ? `${figure(value, 'mm')} mm`
        : labelled(key).unit === 'mm' && text === ''
          ? 'or with in or mm after it'
          : null;
}
