import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from '../../shell/router';
import type { MakingAnswer } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';
import { Decide } from '../handover/Decide';

/** A size that was cut too far: what that does, and what can be done. */
export function TooFar({ deviation }: { deviation: NonNullable<MakingAnswer['deviation']> }) {
    const { facts } = useJob();
    const { say } = useSettings();
    return (
        <Box
            component="section"
            aria-label="Cut too far"
            sx={{ border: 2, borderColor: 'overlap.main', p: 1.5, mt: 1.25, bgcolor: 'background.paper' }}
        >
            <Typography variant="h2">{say(deviation.off)} What now?</Typography>
            {deviation.hits.map((hit) => (
                <Box
                    key={hit.name}
                    sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', py: 0.5 }}
                >
                    <Verdict kind={hit.ok === null ? 'plain' : hit.ok ? 'good' : 'bad'}>
                        {hit.ok === null ? 'not known yet' : hit.ok ? 'still works' : 'not as wanted'}
                    </Verdict>
                    <Typography>
                        <b>{hit.name}:</b> {say(hit.says)}
                    </Typography>
                </Box>
            ))}
            <Box component="ol" sx={{ m: 0, mt: 1, pl: 3 }}>
                {deviation.ways.map((way, i) => (
                    <Box component="li" key={i} sx={{ mb: 0.75 }}>
                        <Typography>
                            {say(way.says)}{' '}
                            {way.stage !== null && (
                                <Box
                                    component={Link}
                                    to={`/job/${facts.id}/${way.stage}?at=${way.at ?? ''}`}
                                    sx={{ color: 'inherit', fontWeight: 650, py: 1 }}
                                >
                                    Go there
                                </Box>
                            )}
                        </Typography>
                    </Box>
                ))}
            </Box>
            <Decide row={deviation.row} />
        </Box>
    );
}
