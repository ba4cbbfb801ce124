import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Joint, JointAnswer } from '../../api/types';
import { NumberFact } from '../../entry/NumberFact';
import { useJob } from '../../job/JobContext';
import { Notes } from '../../shell/Notes';
import { Why } from '../../shell/Why';
import { Tiles } from './Tiles';

/** A plain bearing: what it carries and how fast it turns, against what its material stands. */
export function Running({ joint, help }: { joint: Joint; help: NonNullable<JointAnswer['help']> }) {
    const { save } = useJob();
    return (
        <Box component="section" aria-label="As a bearing" sx={{ mt: 1.25 }}>
            <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
                <Box sx={{ width: 200 }}>
                    <NumberFact
                        label="It carries, N"
                        value={joint.load_n ?? null}
                        store={(load_n) => save('joints', joint.id, { load_n })}
                    />
                </Box>
                <Box sx={{ width: 200 }}>
                    <NumberFact
                        label="It turns, rev/min"
                        value={joint.speed_rpm ?? null}
                        store={(speed_rpm) => save('joints', joint.id, { speed_rpm })}
                    />
                </Box>
                {help.plain === null && (
                    <Typography variant="body2" color="textSecondary">
                        With its load, and length and mate measured: what its material stands.
                    </Typography>
                )}
            </Box>
            {help.plain && (
                <>
                    <Tiles tiles={help.plain.tiles} />
                    <Box sx={{ mt: 1 }}>
                        <Notes notes={help.plain.notes} />
                    </Box>
                    <Why steps={help.plain.working} label="Why these" picture={help.plain.picture} />
                </>
            )}
        </Box>
    );
}
