import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Collapse from '@mui/material/Collapse';
import Typography from '@mui/material/Typography';
import { useId, useState } from 'react';
import type { Drawing, WorkingStep } from '../api/types';
import { DrawingView } from '../pictures/DrawingView';
import { Framed } from '../pictures/Framed';
import { useSettings } from './settings';
import { Words } from './Words';

interface Props {
    steps: WorkingStep[];
    label?: string;
    /** What the steps say, drawn; none where it stands on the screen above. */
    picture?: Drawing | null;
}

/** Opens to the picture, the formula with its numbers, and its source. */
export function Why({ steps, label = 'Why', picture = null }: Props) {
    const [open, setOpen] = useState(false);
    const { say } = useSettings();
    const id = useId();
    if (steps.length === 0) {
        return null;
    }
    return (
        <Box>
            <Button
                size="small"
                color="inherit"
                variant="text"
                aria-expanded={open}
                aria-controls={id}
                onClick={() => setOpen(!open)}
                sx={{ px: 1, textDecoration: 'underline', textUnderlineOffset: 3 }}
            >
                {label}
            </Button>
            <Collapse in={open} id={id}>
                {open && picture && (
                    <Box sx={{ maxWidth: picture.width + 20, my: 0.75 }}>
                        <Framed pad={0.5}>
                            <DrawingView drawing={picture} />
                        </Framed>
                    </Box>
                )}
                <Box component="ol" sx={{ m: 0, pl: 2.5 }}>
                    {steps.map((step, i) => (
                        <Box component="li" key={i} sx={{ mb: 1 }}>
                            <Typography variant="body2" sx={{ fontWeight: 700 }}>
                                {open ? <Words text={step.what} /> : step.what}
                            </Typography>
                            <Typography
                                variant="body2"
                                sx={{ typography: 'formula', overflowWrap: 'anywhere' }}
                            >
                                {step.formula}
                            </Typography>
                            <Typography variant="body2" sx={{ overflowWrap: 'anywhere' }}>
                                {say(step.numbers)}
                            </Typography>
                            <Typography variant="body2" color="textSecondary">
                                {step.source}
                            </Typography>
                        </Box>
                    ))}
                </Box>
            </Collapse>
        </Box>
    );
}
