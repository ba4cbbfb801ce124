import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { client, orRefuse } from '../../api/client';
import type { Drawing, LoopFacts } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { useSettings } from '../../shell/settings';

/** A loop built by pointing at faces in order, from one side of the gap round to the other. */
export function FromFaces({
    drawing,
    take,
    close,
}: {
    drawing: Drawing;
    take: (loop: Pick<LoopFacts, 'name' | 'lengths'>) => void;
    close: () => void;
}) {
    const { facts, state } = useJob();
    const { say } = useSettings();
    const [faces, setFaces] = useState<string[]>([]);
    const built = useQuery({
        queryKey: ['faces', facts.id, state.version, faces],
        queryFn: async () =>
            orRefuse(
                await client.POST('/api/jobs/{job}/faces', {
                    params: { path: { job: facts.id } },
                    body: { faces },
                }),
            ),
        placeholderData: keepPreviousData,
    });
    const loop = built.data;
    const named = (id: string) => drawing.taps.find((tap) => tap.id === id)?.name ?? '';
    return (
        <Box component="section" aria-label="From faces" sx={{ mb: 1.5 }}>
            <Typography variant="said" sx={{ mb: 0.5 }} role="status">
                {loop?.missing ?? (loop ? `It closes: ${loop.name}.` : ' ')}
            </Typography>
            <Framed pad={0.25}>
                <Box sx={{ position: 'relative', maxWidth: drawing.width }}>
                    <DrawingView drawing={drawing} quiet />
                    {drawing.taps.map((tap) => {
                        const place = faces.indexOf(tap.id);
                        const high = Math.max(26, tap.bottom - tap.top);
                        return (
                            <ButtonBase
                                key={tap.id}
                                aria-label={tap.name}
                                aria-pressed={place >= 0}
                                title={tap.name}
                                onClick={() => setFaces([...faces, tap.id])}
                                sx={{
                                    position: 'absolute',
                                    left: `${((tap.x - 13) / drawing.width) * 100}%`,
                                    width: `${(26 / drawing.width) * 100}%`,
                                    top: `${(((tap.top + tap.bottom) / 2 - high / 2) / drawing.height) * 100}%`,
                                    height: `${(high / drawing.height) * 100}%`,
                                    '&::before': {
                                        content: '""',
                                        position: 'absolute',
                                        left: 'calc(50% - 3px)',
                                        width: place >= 0 ? 6 : 4,
                                        top: 0,
                                        bottom: 0,
                                        bgcolor: place >= 0 ? 'overlap.main' : 'text.secondary',
                                        opacity: place >= 0 ? 1 : 0.45,
                                    },
                                    '&:hover::before, &:focus-visible::before': {
                                        bgcolor: 'overlap.main',
                                        opacity: 1,
                                    },
                                }}
                            >
                                {place >= 0 && (
                                    <Box
                                        component="span"
                                        sx={{
                                            position: 'absolute',
                                            top: -24,
                                            minWidth: 22,
                                            borderRadius: 0.25,
                                            bgcolor: 'overlap.main',
                                            color: 'background.paper',
                                            typography: 'label',
                                        }}
                                    >
                                        {place + 1}
                                    </Box>
                                )}
                            </ButtonBase>
                        );
                    })}
                </Box>
            </Framed>
            <Box component="ol" sx={{ my: 0.75, pl: 3 }}>
                {faces.map((id, i) => (
                    <li key={i}>{named(id)}</li>
                ))}
            </Box>
            {loop && faces.length > 1 && say(loop.so_far) !== '' && (
                <Typography sx={{ mb: 1 }}>{say(loop.so_far)}</Typography>
            )}
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
                <Button
                    variant="contained"
                    disabled={!loop?.closed || built.isPlaceholderData}
                    onClick={() => loop && take({ name: loop.name, lengths: loop.lengths })}
                >
                    Take this loop
                </Button>
                <Button
                    variant="outlined"
                    color="inherit"
                    disabled={faces.length === 0}
                    onClick={() => setFaces(faces.slice(0, -1))}
                >
                    One face back
                </Button>
                <Button color="inherit" onClick={close}>
                    Never mind
                </Button>
            </Box>
        </Box>
    );
}
