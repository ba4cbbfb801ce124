import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Rehearsal } from '../../api/types';
import { countdown } from '../../entry/useNow';
import { useSettings } from '../../shell/settings';

/** From oven to joint: the seconds left and the gap there is now, as the answer has it. */
export function Clock({
    rehearsal,
    gone,
    practice,
    again,
}: {
    rehearsal: Rehearsal;
    gone: number;
    practice: boolean;
    again: () => void;
}) {
    const { say } = useSettings();
    const left = rehearsal.seconds === null ? null : rehearsal.seconds - gone;
    const late = rehearsal.no_return !== null && gone > rehearsal.no_return;
    const now = rehearsal.points.findLast((point) => point.s <= gone) ?? rehearsal.points[0];
    return (
        <Box role="status">
            <Typography
                variant="hugeSize"
                component="p"
                role="timer"
                sx={{ color: late ? 'overlap.main' : 'make.main' }}
            >
                {left === null ? countdown(gone) : countdown(left)}
            </Typography>
            <Typography variant="said">
                {left !== null && left <= 0
                    ? 'It has gripped.'
                    : late
                      ? 'Too late to begin: warm it again.'
                      : now && say(now.gap)}
            </Typography>
            <Button variant="outlined" color="inherit" onClick={again} sx={{ mt: 1 }}>
                {practice ? 'Practise again' : 'Again from the start'}
            </Button>
        </Box>
    );
}
