import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';
import { Why } from '../../shell/Why';

/** How likely the job as a whole goes together and works; nothing where there is only one thing to go together. */
export function Whole() {
    const { answers } = useJob();
    const { say } = useSettings();
    const whole = answers.whole;
    if (whole === null) {
        return null;
    }
    return (
        <Box
            component="section"
            aria-label="As a whole"
            sx={{ display: 'flex', columnGap: 1.5, alignItems: 'baseline', flexWrap: 'wrap', mb: 0.75 }}
        >
            <Box sx={{ flex: 'none' }}>
                <Verdict kind={whole.kind}>{whole.word}</Verdict>
            </Box>
            <Typography sx={{ flex: '1 1 26.25rem', minWidth: 0 }}>{say(whole.says)}</Typography>
            <Box sx={{ flex: '1 0 100%' }}>
                <Why steps={whole.working} picture={whole.picture} />
            </Box>
        </Box>
    );
}
