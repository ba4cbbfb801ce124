import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { newId } from '../../api/client';
import type { Shaped } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';

/** The holes of a pattern, drilled off one by one: the next one stands out. */
export function Places({ shape }: { shape: Shaped }) {
    const { facts, save } = useJob();
    const { say } = useSettings();
    if (shape.places.length === 0) {
        return null;
    }
    const next = shape.places.find((place) => !place.drilled);
    const done = shape.places.filter((place) => place.drilled).length;
    const toggle = (code: string) => {
        const tick = facts.ticks.find((t) => t.code === code);
        void save('ticks', tick?.id ?? newId(), tick ? null : { code, at: new Date().toISOString() });
    };
    return (
        <Box component="section" aria-label="Holes to drill" sx={{ mt: 1.5 }}>
            <Typography variant="h2">
                Drilled {done} of {shape.places.length}
            </Typography>
            {next && (
                <Box sx={{ display: 'flex', gap: 3, alignItems: 'baseline', flexWrap: 'wrap', my: 0.5 }}>
                    <Typography>hole {next.number} next</Typography>
                    <Typography variant="bigSize" color="make">
                        x {say(next.x)}
                    </Typography>
                    <Typography variant="bigSize" color="make">
                        y {say(next.y)}
                    </Typography>
                    <Typography variant="smallSize">{next.deg}°</Typography>
                </Box>
            )}
            <Box
                sx={{
                    display: 'grid',
                    gap: 0.75,
                    gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 14.375rem), 1fr))',
                }}
            >
                {shape.places.map((place) => (
                    <ButtonBase
                        key={place.number}
                        role="checkbox"
                        aria-checked={place.drilled}
                        aria-label={`Hole ${place.number} drilled`}
                        onClick={() => toggle(place.tick)}
                        sx={{
                            justifyContent: 'start',
                            gap: 1,
                            px: 1,
                            minHeight: 48,
                            border: 1,
                            borderColor: place === next ? 'make.main' : 'divider',
                            borderWidth: place === next ? 2 : 1,
                            textAlign: 'left',
                        }}
                    >
                        <Typography
                            variant="outcome"
                            color={place.drilled ? 'good' : 'textSecondary'}
                            sx={{ width: 22 }}
                        >
                            {place.drilled ? '✓' : place.number}
                        </Typography>
                        <Box sx={{ opacity: place.drilled ? 0.6 : 1 }}>
                            <Typography variant="smallSize" component="p">
                                {say(place.x)} · {say(place.y)}
                            </Typography>
                            <Typography variant="body2" color="textSecondary">
                                hole {place.number}, {place.deg}°
                            </Typography>
                        </Box>
                    </ButtonBase>
                ))}
            </Box>
        </Box>
    );
}
