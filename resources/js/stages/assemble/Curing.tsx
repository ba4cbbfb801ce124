import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { JobAnswers } from '../../api/types';
import { moment } from '../../entry/day';
import { countdown, useNow } from '../../entry/useNow';
import { useJob } from '../../job/JobContext';

function later(hours: number): string {
    return new Date(Date.now() + hours * 3600000).toISOString();
}

/** A bonded joint cures: until when, with a clock that goes on over a reload and shows on the bench. */
export function Curing({ times }: { times: JobAnswers['assembly']['curing'] }) {
    const { facts, save } = useJob();
    const until = facts.waits?.for === 'curing' ? facts.waits.until : null;
    const now = useNow(until !== null);
    const left = until === null ? null : (new Date(until).getTime() - now) / 1000;
    const wait = (hours: number) =>
        void save(null, '', {
            waits: {
                for: 'curing',
                until: later(hours),
                note: 'the bond cures',
            },
        });
    return (
        <Box component="section" aria-label="Curing" sx={{ mt: 2 }}>
            <Typography variant="h2" sx={{ borderBottom: 1, borderColor: 'divider', pb: 0.5, mb: 1 }}>
                The bond cures
            </Typography>
            {left === null ? (
                <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
                    {times.map(({ name, hours }) => (
                        <Button key={name} variant="outlined" color="inherit" onClick={() => wait(hours)}>
                            {name}
                        </Button>
                    ))}
                    <Typography variant="body2" color="textSecondary">
                        from now; the compound’s own sheet comes first
                    </Typography>
                </Box>
            ) : (
                <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
                    <Typography variant="bigSize" role="timer" color={left <= 0 ? 'good' : 'found'}>
                        {countdown(left)}
                    </Typography>
                    <Typography>
                        {left <= 0 ? 'It has cured.' : `until ${until === null ? '' : moment(until)}`}
                    </Typography>
                    <Button
                        variant="outlined"
                        color="inherit"
                        onClick={() => void save(null, '', { waits: null })}
                    >
                        {left <= 0 ? 'Go on' : 'Stop waiting'}
                    </Button>
                </Box>
            )}
        </Box>
    );
}
