import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Link } from '../../shell/router';
import { useCatalogue } from '../../api/queries';
import type { Joint, JointAnswer } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';
import { Why } from '../../shell/Why';
import { Advice } from './Advice';
import { BearingSeat } from './BearingSeat';
import { ByHand } from './ByHand';
import { Held } from './Held';
import { HotAndCold } from './HotAndCold';
import { MadeFirst } from './MadeFirst';
import { Offers } from './Offers';
import { Running } from './Running';
import { Slide } from './Slide';
import { Standards } from './Standards';
import { Tiles } from './Tiles';
import { JointTrials, LoopTrials } from './Trials';
import { Ways } from './Ways';
import { WaysOut } from './WaysOut';

export function JointView({ joint, answer }: { joint: Joint; answer: JointAnswer }) {
    const { say } = useSettings();
    return (
        <>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mb: 1.25, flexWrap: 'wrap' }}>
                <Typography variant="h1" component="h2">
                    {joint.name}
                </Typography>
                <Box sx={{ flex: '1 1 20rem', minWidth: 0, maxWidth: 470 }}>
                    <PurposeChooser joint={joint} answer={answer} />
                </Box>
            </Box>
            <Shapes joint={joint} />
            {answer.shows.first && <MadeFirst joint={joint} />}
            {answer.help?.advice && <Advice joint={joint} advice={answer.help.advice} />}
            {answer.blocked !== null && (
                <Box
                    sx={{
                        borderLeft: 5,
                        // A shape has its numbers elsewhere: that is no stop.
                        borderColor: answer.purpose.shape ? 'strong.main' : 'overlap.main',
                        pl: 1.5,
                        mb: 1.25,
                    }}
                >
                    <Typography variant="said">{say(answer.blocked)}</Typography>
                    {answer.good_enough !== null && (
                        <Typography variant="body2">{say(answer.good_enough.why)}</Typography>
                    )}
                </Box>
            )}
            {answer.best && (
                <Box sx={{ mb: 1.25 }}>
                    <Verdict kind={answer.best.kind}>{answer.best.word}</Verdict>
                    <Typography variant="said" sx={{ mt: 0.5 }}>
                        {say(answer.best.says)}
                    </Typography>
                    <Why
                        steps={[
                            {
                                what: 'What works',
                                formula: '',
                                numbers: answer.best.because,
                                source: 'common practice, no source',
                            },
                        ]}
                    />
                    <WaysOut joint={joint} ways={answer.best.helps} title="What would help most" />
                </Box>
            )}
            {answer.best === null && answer.chance && (
                <Box sx={{ mb: 1.25 }}>
                    <Verdict kind={answer.chance.kind}>{answer.chance.says}</Verdict>
                </Box>
            )}
            {answer.picture && (
                <Box
                    sx={{
                        display: 'grid',
                        gap: 1.25,
                        gridTemplateColumns: {
                            xs: 'minmax(0, 1fr)',
                            sm: answer.ring ? 'minmax(0, 626fr) minmax(0, 198fr)' : '1fr',
                        },
                    }}
                >
                    <Framed pad={0.25}>
                        <DrawingView drawing={answer.picture} maxWidth={720} />
                    </Framed>
                    {answer.ring && (
                        <Framed pad={0.25}>
                            <DrawingView drawing={answer.ring} maxWidth={260} />
                        </Framed>
                    )}
                </Box>
            )}
            {answer.slide && <Slide slide={answer.slide} />}
            {answer.to_table && (
                <Typography sx={{ mt: 1 }}>
                    {answer.to_table.fit}, made to the table: {say(answer.to_table.extremes)}; 95 of 100 pairs{' '}
                    {say(answer.to_table.likely)}. {answer.to_table.pairs && say(answer.to_table.pairs)}
                </Typography>
            )}
            <WaysOut joint={joint} ways={answer.help?.ways_out ?? []} />
            {answer.shows.seat && <BearingSeat joint={joint} seat={answer.seat} />}
            <Offers joint={joint} answer={answer} />
            {answer.press && <Tiles tiles={answer.press.tiles} />}
            {answer.shows.held && <Held joint={joint} held={answer.held} />}
            {answer.thread && (
                <Box sx={{ mt: 1.25 }}>
                    <Typography variant="said">{say(answer.thread.says)}</Typography>
                    <Notes notes={answer.thread.notes} />
                </Box>
            )}
            <Box sx={{ mt: 1 }}>
                <Notes notes={answer.notes} />
            </Box>
            {answer.together && <LoopTrials about={{ joint: joint.id }} trials={answer.together} />}
            {answer.trials && <JointTrials joint={joint.id} trials={answer.trials} />}
            <Ways joint={joint} ways={answer.ways} />
            {answer.hot_and_cold && <HotAndCold answer={answer.hot_and_cold} />}
            {answer.help?.runs && <Running joint={joint} help={answer.help} />}
            {answer.press_blocked !== null && (
                <Typography sx={{ mt: 1.25 }} color="textSecondary">
                    {say(answer.press_blocked)}
                </Typography>
            )}
            <Standards standards={answer.help?.standards ?? []} />
            <ByHand joint={joint} answer={answer} />
            <Why steps={answer.working} label="Why these numbers" picture={answer.stress} />
        </>
    );
}

/** The shapes that meet in it, each with its numbers. */
function Shapes({ joint }: { joint: Joint }) {
    const { facts, answers } = useJob();
    const { say } = useSettings();
    const shapes = answers.shaped.filter((s) => s.surface === joint.inner || s.surface === joint.outer);
    return (
        shapes.length > 0 && (
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1.25 }}>
                {shapes.map((shape) => (
                    <ButtonBase
                        key={shape.surface}
                        component={Link}
                        to={`/job/${facts.id}/size?at=${shape.surface}`}
                        sx={{
                            display: 'block',
                            textAlign: 'left',
                            border: 1,
                            borderColor: 'strong.main',
                            px: 1.5,
                            py: 1,
                            minHeight: 44,
                            '&:hover': { bgcolor: 'action.hover' },
                        }}
                    >
                        <Typography variant="label" component="p">
                            {shape.name}
                        </Typography>
                        <Typography variant="body2">
                            {shape.is ? say(shape.is) : 'not known yet: what to read is there'}
                        </Typography>
                        {shape.cut && shape.numbers[0] && (
                            <Typography variant="midSize" component="p" color="make">
                                {say(shape.numbers[0].says)}
                            </Typography>
                        )}
                    </ButtonBase>
                ))}
            </Box>
        )
    );
}

function PurposeChooser({ joint, answer }: { joint: Joint; answer: JointAnswer }) {
    const { save } = useJob();
    const catalogue = useCatalogue();
    const isLength = catalogue.data?.purposes.find((p) => p.code === answer.purpose.code)?.length ?? false;
    // Until the list has come, what is chosen stands there alone.
    const purposes = catalogue.data?.purposes.filter((p) => p.length === isLength) ?? [answer.purpose];
    return (
        <TextField
            select
            label="What must it do?"
            value={joint.purpose}
            onChange={(event) =>
                void save('joints', joint.id, {
                    purpose: event.target.value,
                    school: null,
                    least: null,
                    most: null,
                })
            }
        >
            {purposes.map((purpose) => (
                <MenuItem key={purpose.code} value={purpose.code}>
                    {purpose.name}: {purpose.says}
                </MenuItem>
            ))}
        </TextField>
    );
}
