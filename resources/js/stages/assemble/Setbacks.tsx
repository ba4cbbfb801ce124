import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { day } from '../../entry/day';
import { useJob } from '../../job/JobContext';

/** What was done and was not right, kept: the next who reads it need not find out again. */
export function Setbacks() {
    const { answers } = useJob();
    const { setbacks } = answers.assembly.together;
    if (setbacks.length === 0) {
        return null;
    }
    return (
        <Box component="section" aria-label="What went wrong on the way" sx={{ mt: 2 }}>
            <Typography variant="h2" sx={{ borderBottom: 1, borderColor: 'divider', pb: 0.5 }}>
                What went wrong on the way
            </Typography>
            {setbacks.map((one, i) => (
                <Typography key={i} sx={{ my: 0.5 }}>
                    {one.at === null ? '' : `${day(one.at)}: `}
                    {one.step.replace(/\.$/, '')}: <b>{one.why}</b>
                </Typography>
            ))}
        </Box>
    );
}
