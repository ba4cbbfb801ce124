import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { HotAndCold as Facts } from '../../api/types';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { Folded } from '../../shell/Folded';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { GapSlider } from './GapSlider';
import { Why } from '../../shell/Why';

/** How hot or cold for it to drop together, and what heat and speed do to it in use. */
export function HotAndCold({ answer }: { answer: Facts }) {
    const { say } = useSettings();
    const says = answer.chill
        ? `heat the outer part to ${say(answer.heat)}, or chill the inner one to ${say(answer.chill)}`
        : `heat the outer part to ${say(answer.heat)}`;
    return (
        <Folded title="Hot and cold" says={says}>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.25,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 26.875rem)' },
                    alignItems: 'start',
                }}
            >
                <Box>
                    <Typography>Heat the outer part to</Typography>
                    <Typography
                        variant="bigSize"
                        component="p"
                        sx={{ color: answer.heat_allowed === false ? 'overlap.main' : 'make.main' }}
                    >
                        {say(answer.heat)}
                    </Typography>
                    <Typography>
                        {answer.chill
                            ? `or chill the inner one to ${say(answer.chill)}, for ${say(answer.room)} of room.`
                            : `for ${say(answer.room)} of room; cold alone does not open it.`}
                    </Typography>
                    {answer.cold.map((cold) => (
                        <Typography key={cold.mm} variant="body2" sx={{ mt: 0.5 }}>
                            {say(cold)}
                        </Typography>
                    ))}
                    <GapSlider answer={answer} />
                    <Box sx={{ mt: 1 }}>
                        <Notes notes={answer.notes} />
                    </Box>
                </Box>
                <Box>
                    <Framed pad={0.5}>
                        <DrawingView drawing={answer.in_use} />
                    </Framed>
                    <Typography sx={{ mt: 0.75 }}>{say(answer.gone_at)}</Typography>
                    {answer.gone_rpm && <Typography>{say(answer.gone_rpm)}</Typography>}
                    {answer.chances && <Typography>{say(answer.chances)}</Typography>}
                </Box>
            </Box>
            <Why steps={answer.working} label="Why these temperatures" />
        </Folded>
    );
}
