import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { client, newId, orRefuse } from '../../api/client';
import type { Rehearsal } from '../../api/types';
import { NumberFact } from '../../entry/NumberFact';
import { countdown, useNow } from '../../entry/useNow';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';
import { Cautions } from './Cautions';
import { Clock } from './RehearseClock';

/** The one try there is, rehearsed with the shop's own oven and freezer: the gap, the seconds, and the clock. */
export function Rehearse({
    rehearsal,
    turn,
}: {
    rehearsal: Rehearsal;
    turn: (code: string, on: boolean) => void;
}) {
    const { facts, save } = useJob();
    const { say } = useSettings();
    const joint = facts.joints.find((j) => j.id === rehearsal.joint);
    const [practice, setPractice] = useState<number | null>(null);
    const started = rehearsal.started_at === null ? practice : new Date(rehearsal.started_at).getTime();
    const now = useNow(started !== null);
    const store = (fact: { outer_c?: number | null; inner_c?: number | null }) =>
        save('joints', rehearsal.joint, fact);
    const code = `go:${rehearsal.joint}`;
    const begin = (real: boolean) => {
        if (real) {
            void save('ticks', newId(), { code, at: new Date().toISOString() });
        } else {
            setPractice(Date.now());
        }
    };
    const again = () => {
        setPractice(null);
        turn(code, false);
    };
    const ready = rehearsal.cautions.every((caution) => caution.ticked);
    const goesIn = rehearsal.seconds === null || rehearsal.seconds > 0;
    return (
        <Box component="section" aria-label="Hot or cold" sx={{ mt: 2 }}>
            <Typography variant="h2" sx={{ borderBottom: 1, borderColor: 'divider', pb: 0.5, mb: 1 }}>
                Hot or cold instead: {rehearsal.name}
            </Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) minmax(0, 28.125rem)' },
                    alignItems: 'start',
                }}
            >
                <Box>
                    <Box sx={{ display: 'grid', gap: 1.25, gridTemplateColumns: '1fr 1fr' }}>
                        <NumberFact
                            label="Outer part, °C"
                            value={joint?.outer_c ?? null}
                            helperText={`empty: ${facts.shop.temperature_c}`}
                            store={(outer_c) => store({ outer_c })}
                        />
                        <NumberFact
                            label="Inner part, °C"
                            value={joint?.inner_c ?? null}
                            helperText={`empty: ${facts.shop.temperature_c}`}
                            store={(inner_c) => store({ inner_c })}
                        />
                    </Box>
                    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}>
                        {rehearsal.sources.map((source) => (
                            <Button
                                key={source.name}
                                variant="outlined"
                                color="inherit"
                                onClick={() =>
                                    void store(
                                        source.part === 'outer'
                                            ? { outer_c: source.celsius }
                                            : { inner_c: source.celsius },
                                    )
                                }
                            >
                                {source.name}
                            </Button>
                        ))}
                    </Box>
                    <Thermometer store={store} />
                    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
                        <Typography variant="outcome">{say(rehearsal.gap)}</Typography>
                        <Verdict kind={!goesIn ? 'bad' : rehearsal.enough ? 'good' : 'usable'}>
                            {!goesIn ? 'does not go in' : rehearsal.enough ? 'drops in' : 'little room'}
                        </Verdict>
                    </Box>
                    {started === null ? (
                        <>
                            {goesIn && rehearsal.seconds !== null && (
                                <Typography>
                                    It grips after <b>{countdown(rehearsal.seconds)}</b> in the air.
                                </Typography>
                            )}
                            <Cautions cautions={rehearsal.cautions} turn={turn} />
                            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }}>
                                <Button
                                    variant="outlined"
                                    color="inherit"
                                    disabled={!goesIn}
                                    onClick={() => begin(false)}
                                >
                                    Practise
                                </Button>
                                <Button
                                    variant="contained"
                                    disabled={!goesIn || !ready}
                                    onClick={() => begin(true)}
                                >
                                    Go
                                </Button>
                            </Box>
                        </>
                    ) : (
                        <Clock
                            rehearsal={rehearsal}
                            gone={(now - started) / 1000}
                            practice={rehearsal.started_at === null}
                            again={again}
                        />
                    )}
                    <Box sx={{ mt: 1 }}>
                        <Notes notes={rehearsal.notes} />
                    </Box>
                </Box>
                <Framed pad={0.5}>
                    <DrawingView drawing={rehearsal.picture} />
                </Framed>
            </Box>
        </Box>
    );
}

/** What the thermometer on its line shows, taken for either part; a silent one says so. */
function Thermometer({
    store,
}: {
    store: (fact: { outer_c?: number; inner_c?: number }) => Promise<unknown>;
}) {
    const [said, setSaid] = useState<string | null>(null);
    const take = async (which: 'outer_c' | 'inner_c') => {
        try {
            const reading = orRefuse(
                await client.GET('/api/gauges/{gauge}', { params: { path: { gauge: 'thermometer' } } }),
            );
            if (reading.celsius !== null) {
                setSaid(null);
                await store({ [which]: reading.celsius });
            }
        } catch (error) {
            setSaid(error instanceof Error ? error.message : 'The thermometer does not answer.');
        }
    };
    return (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
            <Button variant="outlined" color="inherit" onClick={() => void take('outer_c')}>
                Thermometer on the outer
            </Button>
            <Button variant="outlined" color="inherit" onClick={() => void take('inner_c')}>
                Thermometer on the inner
            </Button>
            {said !== null && (
                <Typography color="error" role="alert">
                    {said}
                </Typography>
            )}
        </Box>
    );
}
