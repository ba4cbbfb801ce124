import { Blocked } from '../../shell/Blocked';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { LoopAnswer, LoopFacts } from '../../api/types';
import { LengthField } from '../../entry/LengthField';
import { typedText } from '../../entry/typed';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { Ghost } from '../../shell/Ghost';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';
import { Why } from '../../shell/Why';
import { FromFaces } from './FromFaces';
import { LoopRows } from './LoopRows';
import { TakeIt } from './TakeIt';
import { LoopTrials } from './Trials';

/** Lengths that add up: how the gap closes, by how much and with what chance, and what an open length has to be. */
export function Loop({ loop, answer }: { loop: LoopFacts; answer: LoopAnswer }) {
    const { save, edit, answers, before, whatIf } = useJob();
    const [tapping, setTapping] = useState(false);
    const { say, typing } = useSettings();
    const store = (fact: Partial<LoopFacts>) => save('loops', loop.id, fact);
    const limit = (which: 'least' | 'most', label: string) => (
        <LengthField
            signed
            label={label}
            value={typedText(loop[which], typing)}
            unit={typing}
            store={(typed) => store({ [which]: { typed, unit: typing } })}
            clear={() => store({ [which]: null })}
        />
    );
    const old = before?.loops.find((l) => l.id === loop.id);
    const sections = answers.picture;
    return (
        <>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 12.5rem 12.5rem' },
                    mb: 1,
                }}
            >
                <TextFact label="The gap" value={loop.name} store={(name) => store({ name })} />
                {limit('least', 'At least')}
                {limit('most', 'At most')}
            </Box>
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1, alignItems: 'center' }}>
                <ToggleButtonGroup
                    exclusive
                    size="small"
                    value={loop.plane ? 'plane' : 'line'}
                    aria-label="Directions"
                    onChange={(_, next: string | null) =>
                        next !== null && void store({ plane: next === 'plane' })
                    }
                >
                    <ToggleButton value="line">along one line</ToggleButton>
                    <ToggleButton value="plane">two directions at once</ToggleButton>
                </ToggleButtonGroup>
                {!loop.plane && sections && sections.taps.length > 0 && (
                    <Button
                        variant="outlined"
                        color="inherit"
                        aria-expanded={tapping}
                        onClick={() => setTapping(!tapping)}
                    >
                        Point at its faces
                    </Button>
                )}
                <Button
                    variant={whatIf.on ? 'contained' : 'outlined'}
                    color={whatIf.on ? 'primary' : 'inherit'}
                    aria-keyshortcuts="w"
                    disabled={whatIf.on}
                    onClick={whatIf.start}
                >
                    What if&nbsp;<b>W</b>
                </Button>
            </Box>
            {answer.blocked && <Blocked>{say(answer.blocked)}</Blocked>}
            {tapping && sections && (
                <FromFaces
                    drawing={sections}
                    close={() => setTapping(false)}
                    take={(built) => {
                        setTapping(false);
                        void store({
                            lengths: built.lengths,
                            ...(/^Gap \d+$/.test(loop.name) ? { name: built.name } : {}),
                        });
                    }}
                />
            )}
            {old?.solved && <Ghost was={old.solved} now={answer.solved} />}
            {answer.solved && (
                <Typography variant="midSize" color="make">
                    {say(answer.solved)}
                </Typography>
            )}
            {answer.solved && answer.sure && <Verdict kind={answer.sure.kind}>{answer.sure.says}</Verdict>}
            {answer.closes_at && (
                <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
                    <Typography>{loop.plane ? 'its end lies off by' : 'closes at'}</Typography>
                    <Ghost was={old?.closes_at} now={answer.closes_at} />
                    <Typography variant="bigSize" component="p">
                        {say(answer.closes_at)}
                    </Typography>
                    {answer.sure && <Verdict kind={answer.sure.kind}>{answer.sure.says}</Verdict>}
                    <Typography color="textSecondary">
                        at worst {answer.worst && say(answer.worst)}; 95 of 100{' '}
                        {answer.likely && say(answer.likely)}
                    </Typography>
                </Box>
            )}
            {answer.shared && <Typography variant="said">{say(answer.shared)}</Typography>}
            {answer.in_use && (
                <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center', my: 0.5 }}>
                    <Typography variant="said">{say(answer.in_use.says)}</Typography>
                    <Verdict kind={answer.in_use.sure.kind}>{answer.in_use.sure.says}</Verdict>
                    {answer.in_use.unknown !== null && (
                        <Typography variant="body2">{answer.in_use.unknown}</Typography>
                    )}
                </Box>
            )}
            {answer.shims && <Typography variant="said">{say(answer.shims)}</Typography>}
            {answer.pile && (
                <Box sx={{ maxWidth: 560 }}>
                    <DrawingView drawing={answer.pile} />
                </Box>
            )}
            {answer.picture && (
                <Box sx={{ mt: 1 }}>
                    <Framed pad={0.5}>
                        <DrawingView drawing={answer.picture} maxWidth={loop.plane ? 560 : 900} />
                    </Framed>
                </Box>
            )}
            <Box sx={{ mt: 1 }}>
                <Notes notes={answer.notes} />
            </Box>
            {answer.remedies.length > 0 && (
                <Box component="section" aria-label="What would close it" sx={{ mt: 1 }}>
                    <Typography sx={{ fontWeight: 650 }}>What would close it</Typography>
                    {answer.remedies.map((remedy, i) => (
                        <Box
                            key={i}
                            sx={{
                                display: 'flex',
                                gap: 1.5,
                                flexWrap: 'wrap',
                                alignItems: 'center',
                                py: 0.5,
                            }}
                        >
                            <Typography variant="said" sx={{ flex: '1 1 20rem', maxWidth: 640 }}>
                                {say(remedy.do)}
                            </Typography>
                            <Verdict kind={remedy.enough ? 'good' : 'usable'}>{remedy.sure.says}</Verdict>
                            <TakeIt changes={remedy.changes} name={say(remedy.do)} />
                        </Box>
                    ))}
                </Box>
            )}
            {answer.trials && <LoopTrials about={{ loop: loop.id }} trials={answer.trials} />}
            <LoopRows
                loop={loop}
                answer={answer}
                store={(next) => edit('loops', loop.id, (now) => ({ lengths: next(now.lengths) }))}
            />
            <Why steps={answer.working} label="Why it closes so" />
        </>
    );
}
