import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { SurfaceAnswer } from '../../api/types';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { Notes } from '../../shell/Notes';
import { Why } from '../../shell/Why';
import { Budget } from './Budget';
import { CoolingDown } from './CoolingDown';
import { Meant } from './Meant';

export function Pictures({ answer, partId }: { answer: SurfaceAnswer; partId: string }) {
    if (answer.found === null) {
        return null;
    }
    const notes = answer.notes.filter((note) => note.code !== 'improve');
    return (
        <Box
            sx={{
                display: 'grid',
                gap: 1.25,
                mt: 1.25,
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: answer.round ? '18.75rem 1fr' : '1fr' },
                alignItems: 'start',
            }}
        >
            {answer.round && (
                <Framed>
                    <DrawingView drawing={answer.round} />
                </Framed>
            )}
            <Box sx={{ display: 'grid', gap: 1.25, minWidth: 0 }}>
                {answer.along && (
                    <Framed>
                        <DrawingView drawing={answer.along} />
                    </Framed>
                )}
                {answer.cooling && <CoolingDown cooling={answer.cooling} />}
                <Framed>
                    <Typography variant="h3" component="h3" sx={{ mb: 0.75 }}>
                        What limits this reading
                    </Typography>
                    <Budget lines={answer.found.budget} />
                    <Why steps={answer.found.working} label="Why this size and this ±" />
                </Framed>
                <Meant answer={answer} partId={partId} />
                <Notes notes={notes} />
            </Box>
        </Box>
    );
}
