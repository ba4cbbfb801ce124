import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { SurfaceAnswer } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { Framed } from '../../pictures/Framed';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';

const PERCENT = (share: number) => `${Math.round(share * 100)} %`;

/** What the size was meant to be, likeliest first, and whether the part was made in inches or millimetres. */
export function Meant({ answer, partId }: { answer: SurfaceAnswer; partId: string }) {
    const { answers } = useJob();
    const { say } = useSettings();
    const vote = answers.survey.parts.find((part) => part.id === partId)?.vote ?? null;
    return (
        <Framed>
            <Typography variant="h3" component="h3" sx={{ mb: 0.75 }}>
                What was it meant to be?
            </Typography>
            {answer.meant.length === 0 && <Typography>Nothing usual is near this size.</Typography>}
            {answer.meant.slice(0, 4).map((candidate, i) => (
                <Box
                    key={`${candidate.system}${candidate.label}`}
                    sx={{
                        display: 'grid',
                        gridTemplateColumns: 'minmax(0, 1fr) 5.625rem 3.25rem',
                        gap: 1,
                        alignItems: 'center',
                        py: 0.25,
                    }}
                >
                    <Typography
                        variant={i === 0 ? 'body1' : 'body2'}
                        sx={{ fontWeight: i === 0 ? 700 : 400 }}
                    >
                        {say(candidate.says)}
                    </Typography>
                    <Box sx={{ height: 12, border: 1, borderColor: 'strong.main' }}>
                        <Box
                            sx={{
                                width: `${candidate.probability * 100}%`,
                                height: 1,
                                bgcolor: 'found.main',
                            }}
                        />
                    </Box>
                    <Typography variant="body2" sx={{ textAlign: 'right' }}>
                        {PERCENT(candidate.probability)}
                    </Typography>
                </Box>
            ))}
            {vote !== null && (
                <Box sx={{ borderTop: 1, borderColor: 'divider', mt: 1, pt: 0.75 }}>
                    <Typography variant="body2">
                        All its sizes together: <b>{PERCENT(vote.inch_probability)} inches</b>,{' '}
                        {PERCENT(1 - vote.inch_probability)} millimetres
                    </Typography>
                    <Notes notes={vote.notes} />
                </Box>
            )}
        </Framed>
    );
}
