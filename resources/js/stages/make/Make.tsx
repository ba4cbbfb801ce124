import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { Link, useSearchParams } from '../../shell/router';
import type { MakeEntry, MakingAnswer } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { Notes } from '../../shell/Notes';
import { Steps } from '../../shell/Steps';
import { useSettings } from '../../shell/settings';
import { sizeKind, Verdict } from '../../shell/Verdict';
import { Why } from '../../shell/Why';
import { useKey } from '../../shell/keys';
import { BatchView } from './BatchView';
import { CutEntry } from './CutEntry';
import { CutTable } from './CutTable';
import { Pieces } from './Pieces';
import { Places } from './Places';
import { StandsOut } from './StandsOut';
import { TooFar } from './TooFar';
import { useOnward } from './useOnward';

/** The cut log: where it stands, what to dial next, inside the band or not. */
export function Make() {
    const { answers } = useJob();
    const [params, setParams] = useSearchParams();
    const at = params.get('at');
    const wanted = answers.making.findIndex((m) => m.key === at);
    const open = answers.making.findIndex(
        (m) => m.verdict === null && answers.make.find((e) => e.key === m.key)?.band,
    );
    const index = wanted >= 0 ? wanted : Math.max(0, open);
    const making = answers.making[index];
    const entry = answers.make[index];
    const pinned = params.has('at');
    useEffect(() => {
        if (!pinned && making) {
            setParams({ at: making.key }, { replace: true });
        }
    }, [pinned, making, setParams]);
    const step = (by: number) => {
        const next = answers.making[(index + by + answers.making.length) % answers.making.length];
        if (next) {
            setParams({ at: next.key }, { replace: true });
        }
    };
    useKey('[', () => step(-1));
    useKey(']', () => step(1));
    if (!making || !entry) {
        return <Typography>There is nothing to make in this job.</Typography>;
    }
    return (
        <Box sx={{ maxWidth: 1000 }}>
            <Pieces />
            <ToggleButtonGroup
                exclusive
                value={making.key}
                aria-label="What is being cut"
                onChange={(_, key: string | null) =>
                    key !== null && setParams({ at: key }, { replace: true })
                }
                sx={{ mb: 1.25, flexWrap: 'wrap' }}
            >
                {answers.making.map((m) => (
                    <ToggleButton key={m.key} value={m.key}>
                        {m.label}
                    </ToggleButton>
                ))}
            </ToggleButtonGroup>
            <Cutting key={`${making.key}:${making.piece}`} making={making} entry={entry} />
            <BatchView at={making.key} />
        </Box>
    );
}

function Cutting({ making, entry }: { making: MakingAnswer; entry: MakeEntry }) {
    const { say } = useSettings();
    const { facts, answers } = useJob();
    const shape = answers.shaped.find((one) => one.surface === entry.surface);
    const onward = useOnward(making.key);
    const picture = making.picture ?? shape?.picture ?? null;
    return (
        <>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.25,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '18.125rem minmax(0, 1fr)' },
                    alignItems: 'stretch',
                }}
            >
                <Framed strong>
                    <Typography variant="body2" color="textSecondary">
                        {making.dial ? 'Dial next, on the diameter' : making.label}
                    </Typography>
                    {making.dial ? (
                        <>
                            <Typography variant="hugeSize" color="make">
                                {say(making.dial)}
                            </Typography>
                            {making.dial_lines && (
                                <Typography sx={{ fontWeight: 650 }}>{say(making.dial_lines)}</Typography>
                            )}
                            <Typography variant="body2" hidden={making.dial_lines !== null}>
                                {making.dial_per_side &&
                                    `${say(making.dial_per_side)} where the dial reads the radius`}
                            </Typography>
                        </>
                    ) : (
                        <Typography
                            variant="stop"
                            sx={{
                                my: 0.5,
                                color:
                                    making.state === 'past'
                                        ? 'overlap.main'
                                        : making.state === 'inside'
                                          ? 'good.main'
                                          : 'text.primary',
                            }}
                        >
                            {say(making.says)}
                        </Typography>
                    )}
                    <Box
                        sx={{
                            mt: 1,
                            display: 'grid',
                            gridTemplateColumns: 'auto 1fr',
                            columnGap: 1.5,
                            rowGap: 0.25,
                        }}
                    >
                        {entry.lower && entry.upper && (
                            <>
                                <Typography color="textSecondary">band</Typography>
                                <Typography variant="smallSize" color="make">
                                    {say(entry.lower)} … {say(entry.upper)}
                                </Typography>
                            </>
                        )}
                        {making.now && (
                            <>
                                <Typography color="textSecondary">now</Typography>
                                <Typography variant="smallSize">{say(making.now)}</Typography>
                            </>
                        )}
                        {making.state === 'cut' && making.left && (
                            <>
                                <Typography color="textSecondary">left</Typography>
                                <Typography variant="smallSize">{say(making.left)}</Typography>
                            </>
                        )}
                    </Box>
                    {making.verdict !== null && (
                        <Box sx={{ mt: 1 }}>
                            <Verdict kind={sizeKind(making.verdict)}>
                                {making.verdict === 'inside'
                                    ? 'inside its limits'
                                    : making.verdict === 'cannot-tell'
                                      ? 'too near a limit to tell'
                                      : making.state === 'cut'
                                        ? 'metal still on it'
                                        : 'outside its limits'}
                            </Verdict>
                        </Box>
                    )}
                    {making.plan.length > 0 && (
                        <Typography variant="body2" sx={{ mt: 1 }}>
                            Then:{' '}
                            {making.plan
                                .slice(1, 5)
                                .map((cut) =>
                                    cut.kind === 'spring'
                                        ? 'a spring pass'
                                        : cut.kind === 'polish'
                                          ? `${say(cut.dial)} by polishing`
                                          : say(cut.dial),
                                )
                                .join(', ')}
                        </Typography>
                    )}
                </Framed>
                <Framed>
                    {picture ? (
                        <DrawingView drawing={picture} />
                    ) : (
                        <Typography color="textSecondary" sx={{ p: 2 }}>
                            {entry.blocked
                                ? say(entry.blocked)
                                : 'The cuts show here, stepping down toward the band.'}
                        </Typography>
                    )}
                </Framed>
            </Box>
            {making.deviation && <TooFar deviation={making.deviation} />}
            {entry.more.length > 0 && (
                <Box component="dl" sx={{ m: 0, mt: 1, display: 'flex', flexWrap: 'wrap', columnGap: 3 }}>
                    {entry.more.map((number) => (
                        <Box key={number.name} sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
                            <Typography component="dt" color="textSecondary">
                                {number.name}
                            </Typography>
                            <Typography component="dd" variant="smallSize" sx={{ m: 0 }}>
                                {say(number.says)}
                            </Typography>
                        </Box>
                    ))}
                </Box>
            )}
            {entry.remarks.map((remark, i) => (
                <Typography key={i} sx={{ mt: 1 }}>
                    {say(remark)}
                </Typography>
            ))}
            {making.touches.length > 0 && (
                <Steps title="If it comes out otherwise" steps={making.touches.map(say)} />
            )}
            {shape && <Places shape={shape} />}
            {shape?.cut && shape.one_in !== null && (
                <StandsOut surface={shape.surface} oneIn={shape.one_in} />
            )}
            <CutEntry making={making} logged={onward} />
            {entry.band !== null && (
                <Typography
                    variant="label"
                    component={Link}
                    sx={{ display: 'inline-block', py: 1.25, color: 'inherit' }}
                    to={`/job/${facts.id}/${entry.goto.stage}${entry.goto.surface === null ? '' : `?at=${entry.goto.surface}`}`}
                >
                    Where this number comes from
                </Typography>
            )}
            <Notes notes={making.notes} />
            <CutTable making={making} />
            <Steps title="How the hole comes about" steps={making.hole.map(say)} />
            {shape && (
                <Box
                    sx={{
                        display: 'grid',
                        columnGap: 3,
                        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '3fr 2fr' },
                    }}
                >
                    <Steps title="Set it and cut it" steps={shape.sets.map(say)} />
                    <Steps title="Check it" steps={shape.checks.map(say)} />
                </Box>
            )}
            <Why steps={making.working} label="Why this setting" />
        </>
    );
}
