import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useJob } from '../../job/JobContext';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';

/** The order of work, each step with the reason it stands there. */
export function Plan() {
    const { answers } = useJob();
    const { say } = useSettings();
    if (answers.plan.length === 0) {
        return (
            <Box>
                <Typography variant="h1" sx={{ mb: 1 }}>
                    Order of work
                </Typography>
                <Typography>
                    The order follows from the sizes: the wall decides what is cut first.{' '}
                    {say(answers.next.says)}.
                </Typography>
            </Box>
        );
    }
    return (
        <Box sx={{ maxWidth: 1000 }}>
            <Typography variant="h1" sx={{ mb: 1 }}>
                Order of work
            </Typography>
            {answers.plan[0]?.rule === 'as quoted' && (
                <Typography sx={{ mb: 1 }}>As quoted at Take in, in the order it stands there.</Typography>
            )}
            <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0, borderTop: 1, borderColor: 'divider' }}>
                {answers.plan.map((step, i) => (
                    <Box
                        component="li"
                        key={step.code}
                        sx={{
                            display: 'grid',
                            gridTemplateColumns: '44px 1fr',
                            borderBottom: 1,
                            borderColor: 'divider',
                            py: 1.1,
                        }}
                    >
                        <Typography variant="midSize" component="span" color="make">
                            {i + 1}
                        </Typography>
                        <Box>
                            <Typography variant="said" sx={{ fontWeight: 600 }}>
                                {say(step.do)}
                            </Typography>
                            <Typography variant="body2" color="textSecondary">
                                {step.why}
                            </Typography>
                            <Notes notes={step.notes} />
                        </Box>
                    </Box>
                ))}
            </Box>
        </Box>
    );
}
