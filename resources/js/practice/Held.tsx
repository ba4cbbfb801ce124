import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Drawing, PracticeBench } from '../api/types';
import { DrawingView } from '../pictures/DrawingView';
import type { Done } from './usePractice';

type Surface = PracticeBench['surfaces'][number];

const FEELS = [
    { value: -1, name: 'barely touching' },
    { value: 0, name: 'as it should be' },
    { value: 1, name: 'squeezed' },
];

/** A tilt so small that nobody sees it from the smallest. */
const TILT = 2;

/** A gauge set on a surface: where, how it is held, what one sees; and what one reads goes on. */
export function Held({
    bench,
    surface,
    usual,
    stations,
    angles,
    read,
    write,
    says,
}: {
    bench: PracticeBench;
    surface: Surface;
    usual: string;
    stations: string[];
    angles: string[];
    read: (at: {
        instrument: string;
        along: number;
        angle_deg: number;
        tilt_deg: number;
        feel: number;
        other_face: boolean;
    }) => Promise<Done | null>;
    /** What was read, and by which deed. */
    write: (
        typed: string,
        deed: string,
        at: { instrument: string; station: string; angle: string },
    ) => Promise<void>;
    says: string;
}) {
    const typing = bench.unit;
    const able = bench.gauges.filter((g) => surface.gauges.includes(g.code));
    const [tool, setTool] = useState<string | null>(null);
    const [spot, setSpot] = useState({ station: 0, angle: 0 });
    const [feel, setFeel] = useState(0);
    const [tilt, setTilt] = useState(0);
    const [face, setFace] = useState<{ deed: string; picture: Drawing | null; shown: string } | null>(null);
    const [typed, setTyped] = useState('');
    const [other, setOther] = useState(false);
    const [forMe, setForMe] = useState(false);
    const [refused, setRefused] = useState<string | null>(null);
    const field = useRef<HTMLInputElement>(null);
    const held = face?.deed;
    // The field opens with what is to be read into it.
    useEffect(() => {
        if (held !== undefined) {
            field.current?.focus();
        }
    }, [held]);
    const gauge = able.find((g) => g.code === (tool ?? usual)) ?? able[0];
    if (!gauge) {
        return <Typography>No gauge of this shop reads this.</Typography>;
    }
    const station = stations[spot.station] ?? stations[0] ?? '1';
    const angle = angles[spot.angle] ?? angles[0] ?? '0';
    const at = { instrument: gauge.code, station, angle };
    const rocks = surface.kind === 'bore' && gauge.code !== 'three-point';
    const hold = async (quick: boolean, place = spot) => {
        const along = stations.length > 1 ? place.station / (stations.length - 1) : 0.5;
        const degrees = Number(angles[place.angle] ?? '0');
        const done = await read({
            instrument: gauge.code,
            along,
            angle_deg: Number.isFinite(degrees) ? degrees : 0,
            tilt_deg: rocks && !quick ? tilt : 0,
            feel: quick ? 0 : feel,
            other_face: other,
        });
        const mm = done?.deed.result.mm;
        if (!done || mm === undefined) {
            return null;
        }
        const shown = typing === 'in' ? (mm / 25.4).toFixed(4) : mm.toFixed(3);
        if (!quick) {
            setFace({ deed: done.deed.id, picture: done.face, shown });
            setTyped(forMe ? shown : '');
        }
        return { deed: done.deed.id, shown };
    };
    const keep = async () => {
        if (!face || typed.trim() === '') {
            field.current?.focus();
            return;
        }
        try {
            await write(typed, face.deed, at);
        } catch (error) {
            // What was typed stays, with what is wrong with it.
            setRefused(error instanceof Error ? error.message : 'It was not stored: try again.');
            field.current?.focus();
            return;
        }
        setFace(null);
        setTyped('');
        const last = spot.angle + 1 >= angles.length;
        setSpot({
            angle: last ? 0 : spot.angle + 1,
            station: last ? (spot.station + 1) % Math.max(1, stations.length) : spot.station,
        });
    };
    /** Every place at once, held as it should be and read without a slip. */
    const all = async () => {
        for (let s = 0; s < Math.max(1, stations.length); s++) {
            for (let a = 0; a < Math.max(1, angles.length); a++) {
                const got = await hold(true, { station: s, angle: a });
                if (got === null) {
                    return;
                }
                await write(got.shown, got.deed, {
                    instrument: gauge.code,
                    station: stations[s] ?? '1',
                    angle: angles[a] ?? '0',
                });
            }
        }
    };
    const rock = (event: KeyboardEvent) => {
        const by = event.key === 'ArrowLeft' ? -TILT : event.key === 'ArrowRight' ? TILT : 0;
        if (by !== 0) {
            event.preventDefault();
            setTilt((now) => Math.max(-10, Math.min(10, now + by)));
        }
    };
    return (
        <Box
            sx={{
                display: 'grid',
                gap: 1.5,
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 23.5rem' },
            }}
        >
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignContent: 'flex-start' }}>
                <TextField
                    select
                    label="Gauge"
                    value={gauge.code}
                    onChange={(event) => {
                        setTool(event.target.value);
                        setFace(null);
                    }}
                    sx={{ width: '14rem', maxWidth: '100%' }}
                >
                    {able.map((g) => (
                        <MenuItem key={g.code} value={g.code}>
                            {g.name}
                        </MenuItem>
                    ))}
                </TextField>
                {stations.length > 1 && (
                    <TextField
                        select
                        label="Place"
                        value={spot.station}
                        onChange={(event) => setSpot({ ...spot, station: Number(event.target.value) })}
                        sx={{ width: '7rem', maxWidth: '100%' }}
                    >
                        {stations.map((s, i) => (
                            <MenuItem key={s} value={i}>
                                {s}
                            </MenuItem>
                        ))}
                    </TextField>
                )}
                {angles.length > 1 && (
                    <TextField
                        select
                        label="Turned, °"
                        value={spot.angle}
                        onChange={(event) => setSpot({ ...spot, angle: Number(event.target.value) })}
                        sx={{ width: '5.5rem', maxWidth: '100%' }}
                    >
                        {angles.map((a, i) => (
                            <MenuItem key={a} value={i}>
                                {a}
                            </MenuItem>
                        ))}
                    </TextField>
                )}
                <TextField
                    select
                    label="Held"
                    value={feel}
                    onChange={(event) => setFeel(Number(event.target.value))}
                    sx={{ width: '9.5rem', maxWidth: '100%' }}
                >
                    {FEELS.map((f) => (
                        <MenuItem key={f.value} value={f.value}>
                            {f.name}
                        </MenuItem>
                    ))}
                </TextField>
                {rocks && (
                    <Button
                        variant="outlined"
                        color="inherit"
                        onKeyDown={rock}
                        onClick={() => setTilt((now) => (now >= 6 ? -6 : now + TILT))}
                        aria-label={`Rocked by ${tilt} degrees; arrow keys rock it`}
                    >
                        ⟲ {tilt}° ⟳
                    </Button>
                )}
                {surface.two_faces && (
                    <FormControlLabel
                        control={<Checkbox checked={other} onChange={(_, on) => setOther(on)} />}
                        label="from the outer rim"
                    />
                )}
                <Box sx={{ display: 'flex', gap: 1, flexBasis: '100%', flexWrap: 'wrap' }}>
                    <Button variant="contained" onClick={() => void hold(false)}>
                        Hold it there
                    </Button>
                    {stations.length * angles.length > 1 && (
                        <Button variant="outlined" color="inherit" onClick={() => void all()}>
                            All places, quickly
                        </Button>
                    )}
                    <FormControlLabel
                        control={<Checkbox checked={forMe} onChange={(_, on) => setForMe(on)} />}
                        label="Read it for me"
                    />
                </Box>
                <Box
                    component="form"
                    onSubmit={(event) => {
                        event.preventDefault();
                        void keep();
                    }}
                    sx={{
                        display: 'flex',
                        flexWrap: 'wrap',
                        gap: 1,
                        flexBasis: '100%',
                        alignItems: 'flex-start',
                    }}
                >
                    <TextField
                        label={`It reads, ${typing}`}
                        value={typed}
                        inputRef={field}
                        error={refused !== null}
                        helperText={refused}
                        onChange={(event) => {
                            setTyped(event.target.value);
                            setRefused(null);
                        }}
                        disabled={face === null}
                        slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off' } }}
                        sx={{ width: '10rem', maxWidth: '100%' }}
                    />
                    <Button type="submit" variant="outlined" disabled={face === null}>
                        {says}
                    </Button>
                </Box>
            </Box>
            <Box sx={{ minHeight: 200 }} aria-live="polite">
                {face?.picture ? (
                    <DrawingView drawing={face.picture} maxWidth={376} />
                ) : (
                    <Typography variant="body2" color="textSecondary">
                        {rocks
                            ? 'Rock it to its smallest with the arrow keys: straight is 0°.'
                            : 'What the gauge shows stands here, to be read.'}
                    </Typography>
                )}
            </Box>
        </Box>
    );
}
