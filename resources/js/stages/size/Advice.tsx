import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Collapse from '@mui/material/Collapse';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { FitAdvice, Joint } from '../../api/types';
import { useJob } from '../../job/JobContext';

/** A few plain questions, each of which may be skipped, and the fit they lead to; the answers stay with the joint. */
export function Advice({ joint, advice }: { joint: Joint; advice: FitAdvice }) {
    const { save } = useJob();
    const [open, setOpen] = useState(false);
    const asked = joint.asked ?? {};
    const answer = (code: string, choice: string | null) => {
        const others = Object.fromEntries(Object.entries(asked).filter(([key]) => key !== code));
        const next = choice === null ? others : { ...others, [code]: choice };
        void save('joints', joint.id, { asked: Object.keys(next).length === 0 ? null : next });
    };
    const take = (code: string) => {
        void save('joints', joint.id, {
            purpose: code,
            school: null,
            least: null,
            most: null,
            reason: joint.reason === '' ? advice.why.join(' ') : joint.reason,
        });
        setOpen(false);
    };
    return (
        <Box sx={{ mb: 1.25 }}>
            <Button variant="outlined" color="inherit" aria-expanded={open} onClick={() => setOpen(!open)}>
                Help me choose
            </Button>
            <Collapse in={open} unmountOnExit>
                <Box
                    sx={{
                        mt: 1,
                        p: 1.5,
                        border: 1,
                        borderColor: 'strong.main',
                        bgcolor: 'background.paper',
                        display: 'grid',
                        gap: 1.25,
                    }}
                >
                    {advice.questions.map((question) => (
                        <Box key={question.code}>
                            <Typography variant="body2" sx={{ fontWeight: 650, mb: 0.5 }}>
                                {question.ask}
                                {question.known && (
                                    <Typography component="span" variant="body2" color="found">
                                        {' '}
                                        as the survey says
                                    </Typography>
                                )}
                            </Typography>
                            <ToggleButtonGroup
                                exclusive
                                value={question.answer}
                                aria-label={question.ask}
                                onChange={(_, choice: string | null) => answer(question.code, choice)}
                                sx={{ flexWrap: 'wrap' }}
                            >
                                {question.choices.map((choice) => (
                                    <ToggleButton key={choice.code} value={choice.code}>
                                        {choice.says}
                                    </ToggleButton>
                                ))}
                            </ToggleButtonGroup>
                        </Box>
                    ))}
                    {advice.purpose && (
                        <Box sx={{ borderTop: 1, borderColor: 'divider', pt: 1.25 }} role="status">
                            <Typography variant="outcome">
                                {advice.purpose.name}: {advice.purpose.says}
                            </Typography>
                            {advice.why.map((why) => (
                                <Typography key={why}>{why}</Typography>
                            ))}
                            <Typography variant="body2" color="textSecondary" sx={{ mt: 0.5 }}>
                                Against it: {advice.against.join('; ')}.
                            </Typography>
                            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }}>
                                <Button
                                    variant="contained"
                                    onClick={() => advice.purpose && take(advice.purpose.code)}
                                >
                                    Take it: {advice.purpose.name}
                                </Button>
                                {advice.second && (
                                    <Button
                                        variant="outlined"
                                        color="inherit"
                                        onClick={() => advice.second && take(advice.second.code)}
                                    >
                                        Or {advice.second.name}
                                    </Button>
                                )}
                            </Box>
                        </Box>
                    )}
                </Box>
            </Collapse>
        </Box>
    );
}
