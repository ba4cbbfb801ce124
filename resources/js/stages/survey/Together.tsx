import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useSearchParams } from '../../shell/router';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { Notes } from '../../shell/Notes';
import { CameApart } from './CameApart';
import { Evidence } from './Evidence';
import { Joints } from './Joints';
import { Materials } from './Materials';
import { Offers } from './Offers';
import { Photos } from './Photos';

/** The parts together: what meets what, what can be measured from, what is known and what to think of. */
export function Together() {
    const { answers } = useJob();
    const [, setParams] = useSearchParams();
    const { datums, hints, minds } = answers.survey;
    const could = datums.candidates.map((c) => (c.chosen ? `${c.name} (chosen)` : c.name));
    return (
        <>
            {answers.picture ? (
                <Framed>
                    <DrawingView
                        drawing={answers.picture}
                        maxWidth={820}
                        pick={(id) => setParams({ at: id }, { replace: true })}
                    />
                </Framed>
            ) : (
                <Typography sx={{ my: 2 }}>
                    Nothing to draw yet: choose a part above and add the surfaces that matter.
                </Typography>
            )}
            <Box sx={{ mt: 1 }}>
                <Notes notes={[...datums.notes, ...hints]} />
            </Box>
            <Materials />
            <Joints />
            <Offers />
            <Box
                sx={{
                    display: 'grid',
                    gap: 2,
                    mt: 2.5,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1fr' },
                    alignItems: 'start',
                }}
            >
                <Box component="section">
                    <Typography variant="h2" sx={{ mb: 0.75 }}>
                        Measure from
                    </Typography>
                    <Typography>
                        {could.length === 0
                            ? 'No surface found so far could serve as datum.'
                            : `${could.join(' · ')}.`}
                    </Typography>
                    {minds.length > 0 && (
                        <>
                            <Typography variant="h2" sx={{ mt: 2, mb: 0.75 }}>
                                Think of
                            </Typography>
                            {minds.map((mind) => (
                                <Box
                                    key={mind}
                                    sx={{ borderLeft: 5, borderColor: 'strong.main', pl: 1.25, my: 0.75 }}
                                >
                                    <Typography variant="body2">{mind}</Typography>
                                </Box>
                            ))}
                        </>
                    )}
                </Box>
                <Evidence />
            </Box>
            <CameApart />
            <Photos />
        </>
    );
}
