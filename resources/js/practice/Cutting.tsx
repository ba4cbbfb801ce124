import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { PracticeBench } from '../api/types';
import { readNumber } from '../entry/number';
import { useJob } from '../job/JobContext';
import { USUAL_INSTRUMENT } from '../entry/usualInstrument';
import { Held } from './Held';
import type { useDeed } from './usePractice';

/** Dials a cut, and measures what came of it into the cut log. */
export function Cutting({ bench, act }: { bench: PracticeBench; act: ReturnType<typeof useDeed>['act'] }) {
    const { answers, facts, save } = useJob();
    const typing = bench.unit;
    const cut = answers.making.filter((m) => bench.surfaces.some((s) => s.cut && s.id === m.surface));
    const [chosen, setChosen] = useState<string | null>(null);
    const [dial, setDial] = useState('');
    const [since, setSince] = useState(0);
    const open = cut.find((m) => m.verdict !== 'inside') ?? cut[0];
    const making = cut.find((m) => m.key === chosen) ?? open;
    const surface = bench.surfaces.find((s) => s.id === making?.surface);
    if (!making || !surface) {
        return <Typography>Nothing here is cut on the lathe.</Typography>;
    }
    const number = readNumber(dial);
    const name = (m: (typeof cut)[number]) => m.label;
    const take = async () => {
        if ('refused' in number || number.value === null) {
            return;
        }
        const mm = typing === 'in' ? number.value * 25.4 : number.value;
        const done = await act({ kind: 'cut', surface: surface.id, mm });
        if (done) {
            setSince((now) => now + mm);
            setDial('');
        }
    };
    const logged = facts.cuts.some((c) => c.surface === making.surface && c.phase === making.phase);
    return (
        <Box>
            <Box
                component="form"
                onSubmit={(event) => {
                    event.preventDefault();
                    void take();
                }}
                sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1.5, alignItems: 'flex-start' }}
            >
                <TextField
                    select
                    label="Cut"
                    value={making.key}
                    onChange={(event) => {
                        setChosen(event.target.value);
                        setSince(0);
                    }}
                    sx={{ width: '17rem', maxWidth: '100%' }}
                >
                    {cut.map((m) => (
                        <MenuItem key={m.key} value={m.key}>
                            {name(m)}
                        </MenuItem>
                    ))}
                </TextField>
                <TextField
                    label={
                        bench.dial_on_radius ? `Dial, on radius, ${typing}` : `Dial, on diameter, ${typing}`
                    }
                    value={dial}
                    onChange={(event) => setDial(event.target.value)}
                    error={dial !== '' && 'refused' in number}
                    helperText={dial !== '' && 'refused' in number ? number.refused : null}
                    slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off' } }}
                    sx={{ width: '12rem', maxWidth: '100%' }}
                />
                <Button type="submit" variant="contained">
                    Cut
                </Button>
                <Typography variant="body2" color="textSecondary" sx={{ alignSelf: 'center' }}>
                    {since > 0
                        ? 'Cut. Measure it below, and it goes into the log.'
                        : 'Dialled 0, it is a spring pass. The part gets warm from a cut.'}
                </Typography>
            </Box>
            <Held
                key={making.key}
                bench={bench}
                surface={surface}
                usual={USUAL_INSTRUMENT[making.measured_as] ?? 'calliper'}
                stations={[]}
                angles={[]}
                says="Log it"
                read={(at) => act({ kind: 'read', surface: surface.id, ...at })}
                write={async (typed, deed, at) => {
                    const onDiameter = (bench.dial_on_radius ? 2 : 1) * since;
                    const dialled = typing === 'in' ? (onDiameter / 25.4).toFixed(4) : onDiameter.toFixed(3);
                    await save('cuts', deed, {
                        surface: making.surface,
                        phase: making.phase,
                        piece: making.piece,
                        clean: true,
                        dialled: logged && since > 0 ? { typed: dialled, unit: typing } : null,
                        after: { typed, unit: typing },
                        instrument: at.instrument,
                        part_c: null,
                        at: new Date().toISOString(),
                    });
                    setSince(0);
                }}
            />
        </Box>
    );
}
