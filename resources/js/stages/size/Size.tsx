import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useSearchParams } from 'react-router';
import { newId } from '../../api/client';
import { useCatalogue } from '../../api/queries';
import type { Joint, JointAnswer } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { Why } from '../../shell/Why';
import { useKey } from '../../shell/keys';
import { Advice } from './Advice';
import { BearingSeat } from './BearingSeat';
import { ByHand } from './ByHand';
import { Clearance } from './Clearance';
import { Held } from './Held';
import { HotAndCold } from './HotAndCold';
import { Loop } from './Loop';
import { Mistakes } from './Mistakes';
import { Offers } from './Offers';
import { Running } from './Running';
import { Slide } from './Slide';
import { Standards } from './Standards';
import { Tiles } from './Tiles';
import { Ways } from './Ways';
import { WaysOut } from './WaysOut';

/** Purposes that seat a rolling bearing. */
const BEARING = ['bearing-on-shaft', 'bearing-in-housing'];

/** Purposes of something that may have to be driven. */
const HOLDS = ['hand-fit', 'tap-in', 'bonded', 'keyed', 'bolted', 'taper'];

/** Where the numbers that were wrong are shown. */
const WRONG = 'wrong';

interface Item {
    id: string;
    name: string;
}

/** Each joint: what it is for, the fits that give it, and the size that fits the mate that was measured. Then the lengths that add up, and what has to clear. */
export function Size() {
    const { facts, answers, save, whatIf } = useJob();
    const [params, setParams] = useSearchParams();
    const at = params.get('at');
    const loops = facts.loops ?? [];
    const clearances = facts.clearances ?? [];
    const wrong: Item[] = answers.mistakes.length > 0 ? [{ id: WRONG, name: 'What was wrong' }] : [];
    const all: Item[] = [...facts.joints, ...loops, ...clearances, ...wrong];
    const index = Math.max(
        0,
        all.findIndex((j) => j.id === at),
    );
    const here = all[index];
    const joint = facts.joints.find((j) => j.id === here?.id);
    const answer = answers.joints.find((a) => a.id === joint?.id);
    const loop = loops.find((l) => l.id === here?.id);
    const closes = answers.loops.find((a) => a.id === loop?.id);
    const clearance = clearances.find((c) => c.id === here?.id);
    const clears = answers.clearances.find((a) => a.id === clearance?.id);
    const go = (id: string) => setParams({ at: id }, { replace: true });
    const step = (by: number) => {
        const next = all[(index + by + all.length) % all.length];
        if (next) {
            go(next.id);
        }
    };
    useKey('[', () => step(-1));
    useKey(']', () => step(1));
    const begin = (list: 'loops' | 'clearances', fact: Record<string, unknown>) => {
        const id = newId();
        void save(list, id, fact).then(() => go(id));
    };
    return (
        <Box sx={{ maxWidth: 1000 }}>
            <Box sx={{ display: 'grid', gap: 0.75, mb: 1.25 }}>
                <Choice label="Joint" items={facts.joints} here={here?.id} go={go} />
                <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
                    <Choice
                        label="Lengths and room"
                        items={[...loops, ...clearances, ...wrong]}
                        here={here?.id}
                        go={go}
                    />
                    <Button
                        variant="outlined"
                        color="inherit"
                        disabled={whatIf.on}
                        onClick={() => begin('loops', { name: `Gap ${loops.length + 1}` })}
                    >
                        Lengths that add up
                    </Button>
                    <Button
                        variant="outlined"
                        color="inherit"
                        disabled={whatIf.on}
                        onClick={() => begin('clearances', { name: `Room ${clearances.length + 1}` })}
                    >
                        Will it clear?
                    </Button>
                </Box>
            </Box>
            {here?.id === WRONG && <Mistakes />}
            {loop && closes && <Loop key={loop.id} loop={loop} answer={closes} />}
            {clearance && clears && <Clearance key={clearance.id} clearance={clearance} answer={clears} />}
            {all.length === 0 && <Typography>There is no joint to size in this job.</Typography>}
            {joint && answer && <JointView key={joint.id} joint={joint} answer={answer} />}
        </Box>
    );
}

function Choice({
    label,
    items,
    here,
    go,
}: {
    label: string;
    items: Item[];
    here: string | undefined;
    go: (id: string) => void;
}) {
    if (items.length === 0) {
        return null;
    }
    return (
        <ToggleButtonGroup
            exclusive
            value={here ?? null}
            aria-label={label}
            onChange={(_, id: string | null) => id !== null && go(id)}
            sx={{ flexWrap: 'wrap' }}
        >
            {items.map((item) => (
                <ToggleButton
                    key={item.id}
                    value={item.id}
                    sx={{ textTransform: 'none', fontSize: 15, px: 1.25, py: 0.75, minHeight: 44 }}
                >
                    {item.name}
                </ToggleButton>
            ))}
        </ToggleButtonGroup>
    );
}

function JointView({ joint, answer }: { joint: Joint; answer: JointAnswer }) {
    const { say } = useSettings();
    return (
        <>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mb: 1.25, flexWrap: 'wrap' }}>
                <Typography variant="h1">{joint.name}</Typography>
                <Box sx={{ flex: '1 1 320px', minWidth: 0, maxWidth: 470 }}>
                    <PurposeChooser joint={joint} answer={answer} />
                </Box>
            </Box>
            {answer.help?.advice && <Advice joint={joint} advice={answer.help.advice} />}
            {answer.blocked !== null && (
                <Box sx={{ borderLeft: 5, borderColor: 'overlap.main', pl: 1.5, mb: 1.25 }}>
                    <Typography sx={{ fontSize: 18 }}>{say(answer.blocked)}</Typography>
                    {answer.good_enough !== null && (
                        <Typography variant="body2">{say(answer.good_enough.why)}</Typography>
                    )}
                </Box>
            )}
            {answer.picture && (
                <Box
                    sx={{
                        display: 'grid',
                        gap: 1.25,
                        gridTemplateColumns: {
                            xs: '1fr',
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
            {BEARING.includes(answer.purpose.code) && <BearingSeat joint={joint} seat={answer.seat} />}
            <Offers joint={joint} answer={answer} />
            {answer.press && <Tiles tiles={answer.press.tiles} />}
            {(joint.needs_torque_nm !== null ||
                (joint.held ?? []).length > 0 ||
                answer.tight ||
                HOLDS.includes(answer.purpose.code)) && <Held joint={joint} held={answer.held} />}
            {answer.thread && (
                <Box sx={{ mt: 1.25 }}>
                    <Typography sx={{ fontSize: 18 }}>{say(answer.thread.says)}</Typography>
                    <Notes notes={answer.thread.notes} />
                </Box>
            )}
            <Box sx={{ mt: 1 }}>
                <Notes notes={answer.notes} />
            </Box>
            <Ways joint={joint} ways={answer.ways} />
            {answer.stress && (
                <Box sx={{ mt: 1.25, maxWidth: 430 }}>
                    <Framed pad={0.5}>
                        <DrawingView drawing={answer.stress} />
                    </Framed>
                </Box>
            )}
            {answer.hot_and_cold && <HotAndCold answer={answer.hot_and_cold} />}
            {answer.help?.runs && <Running joint={joint} help={answer.help} />}
            {answer.press_blocked !== null && (
                <Typography sx={{ mt: 1.25 }} color="textSecondary">
                    {say(answer.press_blocked)}
                </Typography>
            )}
            <Standards standards={answer.help?.standards ?? []} />
            <ByHand joint={joint} answer={answer} />
            <Why steps={answer.working} label="Why these numbers" />
        </>
    );
}

function PurposeChooser({ joint, answer }: { joint: Joint; answer: JointAnswer }) {
    const { save } = useJob();
    const catalogue = useCatalogue();
    const isLength = catalogue.data?.purposes.find((p) => p.code === answer.purpose.code)?.length ?? false;
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
            {(catalogue.data?.purposes ?? [])
                .filter((purpose) => purpose.length === isLength)
                .map((purpose) => (
                    <MenuItem key={purpose.code} value={purpose.code}>
                        {purpose.name}: {purpose.says}
                    </MenuItem>
                ))}
        </TextField>
    );
}
