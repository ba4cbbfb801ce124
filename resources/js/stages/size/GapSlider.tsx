import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { client, orRefuse } from '../../api/client';
import type { Drawing, HotAndCold, Say } from '../../api/types';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { useSettings } from '../../shell/settings';

interface Answer {
    says: Say;
    picture: Drawing;
}

/** Warm the one and chill the other: the gap opens and closes as the temperatures are dragged. */
export function GapSlider({ answer }: { answer: HotAndCold }) {
    const { say } = useSettings();
    const [outer, setOuter] = useState(answer.room_c);
    const [inner, setInner] = useState(answer.room_c);
    const gap = useQuery({
        queryKey: ['gap-at', answer.sum, outer, inner],
        queryFn: async () =>
            orRefuse(
                await client.POST('/api/sums/{name}', {
                    params: { path: { name: 'gap-at' } },
                    body: { ...answer.sum, outer_c: outer, inner_c: inner },
                }),
            ) as unknown as Answer,
        placeholderData: keepPreviousData,
        staleTime: Infinity,
    });
    const slider = (label: string, value: number, set: (c: number) => void, min: number, max: number) => (
        <Box>
            <Typography variant="body2">
                {label}: <b>{value} °C</b>
            </Typography>
            <Slider
                aria-label={label}
                value={value}
                min={min}
                max={max}
                step={1}
                onChange={(_, c) => set(c)}
                getAriaValueText={(c) => `${c} °C`}
            />
        </Box>
    );
    return (
        <Box
            sx={{
                display: 'grid',
                gap: 2,
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) 12.375rem' },
                alignItems: 'center',
                mt: 1,
            }}
        >
            <Box>
                {slider('Outer part at', outer, setOuter, -20, 300)}
                {slider('Inner part at', inner, setInner, -196, 120)}
                <Typography role="status" variant="outcome" sx={{ minHeight: 30 }}>
                    {gap.data && say(gap.data.says)}
                </Typography>
            </Box>
            {gap.data && (
                <Framed pad={0.25}>
                    <DrawingView drawing={gap.data.picture} maxWidth={198} />
                </Framed>
            )}
        </Box>
    );
}
