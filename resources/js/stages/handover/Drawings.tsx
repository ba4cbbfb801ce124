import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { client, orRefuse } from '../../api/client';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { useSettings } from '../../shell/settings';

const keyOf = (one: { part: string; view: string }) => `${one.part} ${one.view}`;

/** The drawing of each part that is cut, and its open files. */
export function Drawings() {
    const { state, facts } = useJob();
    const { units, typing } = useSettings();
    const [chosen, setChosen] = useState<string | null>(null);
    const drawings = useQuery({
        queryKey: ['drawings', facts.id, state.version],
        queryFn: async () =>
            orRefuse(await client.GET('/api/jobs/{job}/drawings', { params: { path: { job: facts.id } } }))
                .drawings,
        placeholderData: (before) => before,
    });
    const all = drawings.data ?? [];
    const here = all.find((one) => keyOf(one) === chosen) ?? all[0];
    if (!here) {
        return null;
    }
    const unit = units === 'both' ? typing : units;
    const file = (form: string) =>
        `/api/jobs/${facts.id}/drawings/${here.part}/${form}?unit=${unit}&view=${encodeURIComponent(here.view)}`;
    return (
        <Box component="section" aria-label="Drawing" sx={{ mt: 2.5 }}>
            <Box sx={{ display: 'flex', gap: 1.25, alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
                <Typography variant="h2" sx={{ mr: 'auto' }}>
                    Drawing: everything to cut
                </Typography>
                <Button variant="outlined" color="inherit" href={file('svg')}>
                    SVG
                </Button>
                <Button variant="outlined" color="inherit" href={file('dxf')}>
                    DXF
                </Button>
                {here.face && (
                    <Button variant="outlined" color="inherit" href={file('template')} target="_blank">
                        Print one to one
                    </Button>
                )}
            </Box>
            {all.length > 1 && (
                <ToggleButtonGroup
                    exclusive
                    value={keyOf(here)}
                    aria-label="Part"
                    onChange={(_, key: string | null) => key !== null && setChosen(key)}
                    sx={{ mb: 1, flexWrap: 'wrap' }}
                >
                    {all.map((one) => (
                        <ToggleButton key={keyOf(one)} value={keyOf(one)}>
                            {one.name}
                        </ToggleButton>
                    ))}
                </ToggleButtonGroup>
            )}
            <Framed pad={1}>
                <DrawingView drawing={here.drawing} />
            </Framed>
            {here.unsaid.length > 0 && (
                <Typography variant="body2" sx={{ mt: 0.75, mb: 1.5 }}>
                    Nobody said where along the axis these lie, so they are only sketched:{' '}
                    {here.unsaid.join(', ')}. Say it at Survey.
                </Typography>
            )}
        </Box>
    );
}
