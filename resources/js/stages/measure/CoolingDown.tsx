import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { SurfaceAnswer } from '../../api/types';
import { moment } from '../../entry/day';
import { countdown, useNow } from '../../entry/useNow';
import { Framed } from '../../pictures/Framed';
import { Notes } from '../../shell/Notes';
import { Why } from '../../shell/Why';

/** Read warm: wait until it is cool, with the time left, or go on with the corrected size and its doubt. */
export function CoolingDown({ cooling }: { cooling: NonNullable<SurfaceAnswer['cooling']> }) {
    const ready = cooling.ready_at === null ? null : new Date(cooling.ready_at).getTime();
    const now = useNow(ready !== null);
    const left = ready === null ? null : (ready - now) / 1000;
    return (
        <Framed>
            <Typography variant="h3" component="h3">
                {left !== null && left > 0 ? 'Cooling down' : 'Cool by now'}
            </Typography>
            <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap' }}>
                <Typography
                    variant="bigSize"
                    role="timer"
                    color={left !== null && left <= 0 ? 'good' : 'found'}
                >
                    {left === null ? '' : countdown(left)}
                </Typography>
                <Typography>
                    {left !== null && left > 0
                        ? `ready ${cooling.ready_at === null ? '' : moment(cooling.ready_at)}`
                        : 'read it again now'}
                </Typography>
            </Box>
            <Typography variant="body2" sx={{ mt: 0.5 }}>
                It was {cooling.part_c} °C when it was read. The size above is corrected for that; a cold
                reading is surer. The time is for a solid piece about as long as it is thick.
            </Typography>
            <Notes notes={cooling.notes} />
            <Why steps={cooling.working} label="Why this long" picture={cooling.picture} />
        </Framed>
    );
}
