import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from '../../shell/router';
import { newId } from '../../api/client';
import { useJob } from '../../job/JobContext';
import { useKey } from '../../shell/keys';
import { More } from '../../shell/More';
import { Clearance } from './Clearance';
import { Loop } from './Loop';
import { Mistakes } from './Mistakes';
import { JointView } from './JointView';
import { Reckoning } from './Reckoning';
import { ShapeView } from './ShapeView';
import { WorkOut } from './WorkOut';
import { Whole } from './Whole';

/** So many fit in two rows; more are shown group by group. */
const MANY = 8;

/** Where the numbers that were wrong are shown. */
const WRONG = 'wrong';

interface Item {
    id: string;
    name: string;
}

const ADD = 'add-to-sizes';

/** Each joint: what it is for, the fits that give it, and the size that fits the mate that was measured. Then the lengths that add up, and what has to clear. */
export function Size() {
    const { facts, answers, save, whatIf } = useJob();
    const [params, setParams] = useSearchParams();
    const at = params.get('at');
    const [working, setWorking] = useState(false);
    const loops = facts.loops ?? [];
    const clearances = facts.clearances ?? [];
    const wrong: Item[] = answers.mistakes.length > 0 ? [{ id: WRONG, name: 'What was wrong' }] : [];
    const shapes: Item[] = answers.shaped
        .filter((s) => !s.edge || s.surface === at)
        .map((s) => ({ id: s.surface, name: s.name }));
    const reckonings = facts.reckonings ?? [];
    const groups: { label: string; says: string; items: Item[] }[] = [
        { label: 'Joint', says: 'Joints', items: facts.joints },
        { label: 'Shape', says: 'Shapes', items: shapes },
        { label: 'Lengths and room', says: 'Lengths, room', items: [...loops, ...clearances, ...wrong] },
        { label: 'Worked out', says: 'Worked out', items: reckonings },
    ];
    const all = groups.flatMap((group) => group.items);
    const index = Math.max(
        0,
        all.findIndex((j) => j.id === at),
    );
    const here = all[index];
    const joint = facts.joints.find((j) => j.id === here?.id);
    const answer = answers.joints.find((a) => a.id === joint?.id);
    const shape = answers.shaped.find((s) => s.surface === here?.id);
    const shaped = facts.surfaces.find((s) => s.id === shape?.surface);
    const loop = loops.find((l) => l.id === here?.id);
    const closes = answers.loops.find((a) => a.id === loop?.id);
    const clearance = clearances.find((c) => c.id === here?.id);
    const clears = answers.clearances.find((a) => a.id === clearance?.id);
    const reckoning = reckonings.find((r) => r.id === here?.id);
    const reckoned = answers.reckoned.find((r) => r.id === reckoning?.id);
    const go = (id: string) => setParams({ at: id }, { replace: true });
    const step = (by: number) => {
        const next = all[(index + by + all.length) % all.length];
        if (next) {
            go(next.id);
        }
    };
    useKey('[', () => step(-1));
    useKey(']', () => step(1));
    // What was just begun is typed into next; the menu it came from is gone.
    const fresh = useRef<string | null>(null);
    const content = useRef<HTMLDivElement>(null);
    const open = (id: string) => {
        fresh.current = id;
        go(id);
    };
    const shown = here?.id;
    useEffect(() => {
        if (fresh.current !== null && fresh.current === shown) {
            fresh.current = null;
            content.current?.querySelector<HTMLElement>('input,textarea')?.focus();
        }
    }, [shown]);
    const begin = (list: 'loops' | 'clearances', fact: Record<string, unknown>) => {
        const id = newId();
        void save(list, id, fact).then(() => open(id));
    };
    return (
        <Box sx={{ maxWidth: 1000 }}>
            <Whole />
            <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap', alignItems: 'center', mb: 1.25 }}>
                {all.length > MANY && (
                    <ToggleButtonGroup
                        exclusive
                        value={groups.find((g) => g.items.some((item) => item.id === here?.id))?.label}
                        aria-label="What is sized"
                        onChange={(_, label: string | null) => {
                            const first = groups.find((g) => g.label === label)?.items[0];
                            if (first) {
                                go(first.id);
                            }
                        }}
                        sx={{ flexWrap: 'wrap' }}
                    >
                        {groups
                            .filter((g) => g.items.length > 0)
                            .map((g) => (
                                <ToggleButton
                                    key={g.label}
                                    value={g.label}
                                    sx={{ px: 1.25, py: 0.75, minHeight: 44 }}
                                >
                                    {g.says} {g.items.length}
                                </ToggleButton>
                            ))}
                    </ToggleButtonGroup>
                )}
                {groups
                    .filter((g) => all.length <= MANY || g.items.some((item) => item.id === here?.id))
                    .map((g) => (
                        <Choice key={g.label} label={g.label} items={g.items} here={here?.id} go={go} />
                    ))}
                {!whatIf.on && (
                    <More
                        id={ADD}
                        name="Add …"
                        doings={[
                            {
                                name: 'Lengths that add up',
                                to: () => begin('loops', { name: `Gap ${loops.length + 1}` }),
                            },
                            {
                                name: 'Will it clear?',
                                to: () => begin('clearances', { name: `Room ${clearances.length + 1}` }),
                            },
                            { name: 'Work something out', to: () => setWorking(true) },
                        ]}
                    />
                )}
            </Box>
            {working && (
                <WorkOut
                    giveUp={() => {
                        setWorking(false);
                        document.getElementById(ADD)?.focus();
                    }}
                    begun={(id) => {
                        setWorking(false);
                        open(id);
                    }}
                />
            )}
            <Box ref={content}>
                {here?.id === WRONG && <Mistakes />}
                {shape && shaped && <ShapeView key={shape.surface} shape={shape} surface={shaped} />}
                {loop && closes && <Loop key={loop.id} loop={loop} answer={closes} />}
                {clearance && clears && (
                    <Clearance key={clearance.id} clearance={clearance} answer={clears} />
                )}
                {reckoning && reckoned && (
                    <Reckoning key={reckoning.id} facts={reckoning} answer={reckoned} />
                )}
                {all.length === 0 && <Typography>There is no joint to size in this job.</Typography>}
                {joint && answer && <JointView key={joint.id} joint={joint} answer={answer} />}
            </Box>
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
                <ToggleButton key={item.id} value={item.id} sx={{ px: 1.25, py: 0.75, minHeight: 44 }}>
                    {item.name}
                </ToggleButton>
            ))}
        </ToggleButtonGroup>
    );
}
