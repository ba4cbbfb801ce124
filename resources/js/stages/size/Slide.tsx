import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { client, orRefuse } from '../../api/client';
import type { JointAnswer, Say } from '../../api/types';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';

type Facts = NonNullable<JointAnswer['slide']>;

interface Answer {
    size: Say;
    says: Say;
    verdict: 'inside' | 'cannot-tell' | 'outside';
    /** That it works, 0 to 1, in a word; where it is known what works. */
    chance?: number;
    word?: string;
    kind?: 'good' | 'usable' | 'bad';
}

const WORD = { inside: 'inside', 'cannot-tell': 'too near to tell', outside: 'outside' };
const KIND = { inside: 'good', 'cannot-tell': 'usable', outside: 'bad' } as const;

/** What if it comes out at this? The size is dragged, and the fit answers for the mate as it was found. */
export function Slide({ slide }: { slide: Facts }) {
    const { say } = useSettings();
    const [size, setSize] = useState<number | null>(null);
    const at = size ?? (slide.lower_mm + slide.upper_mm) / 2;
    const answer = useQuery({
        queryKey: ['fit-at', slide.sum, at],
        queryFn: async () =>
            orRefuse(
                await client.POST('/api/sums/{name}', {
                    params: { path: { name: 'fit-at' } },
                    body: { ...slide.sum, size_mm: at },
                }),
            ) as unknown as Answer,
        placeholderData: keepPreviousData,
        staleTime: Infinity,
    });
    const said = answer.data ? `${say(answer.data.size)}: ${say(answer.data.says)}` : '';
    return (
        <Box
            component="section"
            aria-label="What if it comes out at"
            sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap', mt: 1, px: 1.5 }}
        >
            <Slider
                aria-label="The size it comes out at"
                value={at}
                min={slide.from_mm}
                max={slide.to_mm}
                step={(slide.to_mm - slide.from_mm) / 60}
                marks={[{ value: slide.lower_mm }, { value: slide.upper_mm }]}
                onChange={(_, value) => setSize(value)}
                getAriaValueText={() => said}
                sx={{ flex: '1 1 15rem' }}
            />
            <Box
                sx={{
                    flex: '0 0 30rem',
                    maxWidth: 1,
                    minHeight: 30,
                    display: 'flex',
                    gap: 1.5,
                    alignItems: 'center',
                    flexWrap: 'wrap',
                }}
            >
                <Typography>If it comes out at {said}</Typography>
                {answer.data && (
                    <Verdict kind={KIND[answer.data.verdict]}>{WORD[answer.data.verdict]}</Verdict>
                )}
            </Box>
            {answer.data?.chance !== undefined && answer.data.kind !== undefined && (
                <Filling chance={answer.data.chance} kind={answer.data.kind} word={answer.data.word ?? ''} />
            )}
        </Box>
    );
}

const TONE = { good: 'good.main', usable: 'found.main', bad: 'overlap.main' } as const;

/** How likely it is to work, filling up as the size is dragged towards the best one. */
function Filling({ chance, kind, word }: { chance: number; kind: keyof typeof TONE; word: string }) {
    return (
        <Box sx={{ flex: '1 1 100%', display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
            <Box sx={{ flex: '1 1 15rem', height: 14, border: 1, borderColor: 'divider' }}>
                <Box sx={{ height: 1, width: `${100 * chance}%`, bgcolor: TONE[kind] }} />
            </Box>
            <Typography sx={{ flex: '0 0 30rem', maxWidth: 1, color: TONE[kind], fontWeight: 700 }}>
                {word}
            </Typography>
        </Box>
    );
}
