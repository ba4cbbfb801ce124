import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Joint, JointWay } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';

const SHOWN = 3;

/** The ways to hold this joint, what can be done first; three beside each other, the rest folded. */
export function Ways({ joint, ways }: { joint: Joint; ways: JointWay[] }) {
    const { save } = useJob();
    const [all, setAll] = useState(false);
    if (ways.length === 0) {
        return null;
    }
    const take = (way: JointWay) =>
        void save('joints', joint.id, {
            purpose: way.purpose,
            school: null,
            least: null,
            most: null,
            reason: joint.reason === '' ? way.name : joint.reason,
        });
    return (
        <Box component="section" aria-label="Ways to hold it" sx={{ mt: 2 }}>
            <Typography variant="h2" sx={{ mb: 0.75 }}>
                Ways to hold it
            </Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.25,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'repeat(3, minmax(0, 1fr))' },
                }}
            >
                {(all ? ways : ways.slice(0, SHOWN)).map((way) => (
                    <Way key={way.code} way={way} take={() => take(way)} />
                ))}
            </Box>
            {ways.length > SHOWN && (
                <Button color="inherit" aria-expanded={all} onClick={() => setAll(!all)} sx={{ mt: 0.5 }}>
                    {all ? 'Only the first three' : `${ways.length - SHOWN} more ways`}
                </Button>
            )}
        </Box>
    );
}

function Way({ way, take }: { way: JointWay; take: () => void }) {
    const { say } = useSettings();
    return (
        <Box
            role="group"
            aria-label={way.name}
            sx={{
                display: 'flex',
                flexDirection: 'column',
                gap: 0.5,
                border: way.chosen ? 2 : 1,
                borderColor: way.chosen ? 'primary.main' : 'divider',
                bgcolor: 'background.paper',
                px: 1.5,
                py: 1,
            }}
        >
            <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, minHeight: 28 }}>
                <Typography sx={{ fontWeight: 700 }}>{way.name}</Typography>
                {!way.feasible ? (
                    <Verdict kind="bad">{way.chosen ? 'chosen, but not here' : 'not here'}</Verdict>
                ) : (
                    way.chosen && <Verdict kind="good">chosen</Verdict>
                )}
            </Box>
            {way.makes && (
                <Typography variant="smallSize" color="make">
                    {say(way.makes)}
                </Typography>
            )}
            {way.holds && <Typography>holds {say(way.holds)}</Typography>}
            <Typography variant="body2">{say(way.because)}</Typography>
            {way.against.map((against) => (
                <Typography
                    key={against.mm}
                    variant="body2"
                    color={way.feasible ? 'textSecondary' : 'overlap'}
                >
                    {say(against)}
                </Typography>
            ))}
            <Typography variant="body2" color="textSecondary">
                {way.apart}; {way.tools}; {way.time}
            </Typography>
            {!way.chosen && (
                <Button
                    variant="outlined"
                    color="inherit"
                    onClick={take}
                    sx={{ mt: 'auto', alignSelf: 'start' }}
                >
                    {way.feasible ? 'Take it' : 'Take it all the same'}
                </Button>
            )}
        </Box>
    );
}
