import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useCatalogue } from '../../api/queries';
import type { LoopAnswer, LoopFacts } from '../../api/types';
import { LengthField } from '../../entry/LengthField';
import { typedText } from '../../entry/typed';
import { NumberFact } from '../../entry/NumberFact';
import { useJob } from '../../job/JobContext';
import { Ghost } from '../../shell/Ghost';
import { useSettings } from '../../shell/settings';
import { WrongNumber } from './WrongNumber';

export type Length = LoopFacts['lengths'][number];

/** A length with nothing said of it but its name. */
export const BARE: Omit<Length, 'name'> = {
    surface: null,
    size: null,
    plus: null,
    minus: null,
    opens: false,
    spread: 'uniform',
    counts_half: false,
    reserve_least: null,
    reserve_most: null,
    in_use_c: null,
    material: null,
    angle_deg: null,
    origin: 'plan',
};

/** The lengths of a loop in order, typed over in place. */
export function LoopRows({
    loop,
    answer,
    store,
}: {
    loop: LoopFacts;
    answer: LoopAnswer;
    store: (lengths: Length[]) => Promise<unknown>;
}) {
    const { facts } = useJob();
    const [name, setName] = useState('');
    const add = (length: Partial<Length> & { name: string }) =>
        void store([...loop.lengths, { ...BARE, opens: loop.lengths.length === 0, ...length }]);
    return (
        <Box component="section" aria-label="Lengths of the loop" sx={{ mt: 1 }}>
            {loop.lengths.map((length, at) => (
                <Row
                    key={`${at}${length.name}`}
                    loop={loop}
                    length={length}
                    row={answer.rows[at]}
                    at={at}
                    store={store}
                />
            ))}
            <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mt: 1.25 }}>
                <TextField
                    select
                    label="Add a length of the job"
                    value=""
                    onChange={(event) => {
                        const surface = facts.surfaces.find((s) => s.id === event.target.value);
                        if (surface) {
                            add({
                                name: surface.name,
                                surface: surface.id,
                                counts_half: false,
                            });
                        }
                    }}
                    sx={{ width: 250 }}
                >
                    {facts.surfaces
                        .filter((s) => ['length', 'bore', 'shaft', 'flat'].includes(s.kind))
                        .map((s) => (
                            <MenuItem key={s.id} value={s.id}>
                                {s.name}
                            </MenuItem>
                        ))}
                </TextField>
                <Box
                    component="form"
                    sx={{ display: 'flex', gap: 1 }}
                    onSubmit={(event) => {
                        event.preventDefault();
                        if (name.trim() !== '') {
                            add({ name: name.trim() });
                            setName('');
                        }
                    }}
                >
                    <TextField
                        label="or one to type: its name"
                        value={name}
                        onChange={(event) => setName(event.target.value)}
                    />
                    <Button type="submit" variant="outlined" color="inherit" sx={{ whiteSpace: 'nowrap' }}>
                        Add it
                    </Button>
                </Box>
            </Box>
        </Box>
    );
}

interface RowProps {
    loop: LoopFacts;
    length: Length;
    row: LoopAnswer['rows'][number] | undefined;
    at: number;
    store: (lengths: Length[]) => Promise<unknown>;
}

function Row({ loop, length, row, at, store }: RowProps) {
    const { before, whatIf } = useJob();
    const { say, typing } = useSettings();
    const [more, setMore] = useState(false);
    const [wrong, setWrong] = useState(false);
    const change = (part: Partial<Length>) =>
        store(loop.lengths.map((other, i) => (i === at ? { ...other, ...part } : other)));
    const old = before?.loops.find((l) => l.id === loop.id)?.rows[at];
    return (
        <Box role="group" aria-label={length.name} sx={{ borderBottom: 1, borderColor: 'divider', py: 0.75 }}>
            <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
                <Button
                    variant="outlined"
                    color="inherit"
                    onClick={() => void change({ opens: !length.opens })}
                    aria-label={`${length.name} ${length.opens ? 'opens' : 'closes'} the gap; turn it round`}
                    sx={{ whiteSpace: 'nowrap', minWidth: 92 }}
                >
                    {length.opens ? '+ opens' : '− closes'}
                </Button>
                <Typography sx={{ flex: '1 1 100px', fontWeight: 650 }}>
                    {length.name}
                    {length.counts_half && (
                        <Typography component="span" color="textSecondary">
                            {' '}
                            ⌀, half of it
                        </Typography>
                    )}
                </Typography>
                {length.surface === null ? (
                    (['size', 'plus', 'minus'] as const).map((which) => (
                        <Box
                            key={which}
                            sx={{
                                '& .MuiFormHelperText-root': { mx: 0.5 },
                                width: which === 'size' ? { xs: 138, md: 160 } : { xs: 110, md: 124 },
                            }}
                        >
                            <LengthField
                                small={which !== 'size'}
                                label={{ size: 'Size', plus: '+', minus: '−' }[which]}
                                value={typedText(length[which] ?? null, typing)}
                                unit={typing}
                                store={(text) => change({ [which]: { typed: text, unit: typing } })}
                                clear={() => change({ [which]: null })}
                            />
                        </Box>
                    ))
                ) : (
                    <Typography>
                        <Ghost was={old?.size} now={row?.size} />
                        {row?.size ? (
                            <>
                                <b>{say(row.size)}</b> ±{row.plus_minus && say(row.plus_minus)}
                            </>
                        ) : null}{' '}
                        {row?.from}
                    </Typography>
                )}
                <Typography variant="body2" color="textSecondary" sx={{ width: 44 }}>
                    {row?.share == null ? '' : `${Math.round(row.share * 100)} %`}
                </Typography>
                <Button
                    color="inherit"
                    disabled={
                        whatIf.on ||
                        (length.surface === null
                            ? length.size === null
                            : row?.from.startsWith('found') !== true)
                    }
                    aria-label={`${length.name} was wrong`}
                    onClick={() => setWrong(true)}
                    sx={{ textDecoration: 'underline', px: 0.5 }}
                >
                    Wrong?
                </Button>
                <Button
                    color="inherit"
                    aria-expanded={more}
                    aria-label={`More of ${length.name}`}
                    onClick={() => setMore(!more)}
                    sx={{ px: 0.5, minWidth: 44 }}
                >
                    {more ? 'Less' : 'More'}
                </Button>
            </Box>
            {whatIf.on && length.surface === null && length.size !== null && (
                <Drag loop={loop} length={length} at={at} change={change} />
            )}
            {more && (
                <More
                    plane={loop.plane ?? false}
                    length={length}
                    change={change}
                    remove={() => store(loop.lengths.filter((_, i) => i !== at))}
                />
            )}
            {wrong && (
                <WrongNumber
                    name={length.name}
                    about={
                        length.surface === null ? { loop: loop.id, place: at } : { surface: length.surface }
                    }
                    was={row?.size ?? null}
                    close={() => setWrong(false)}
                />
            )}
        </Box>
    );
}

/** In a what-if a typed size is dragged; the rest follows at once. */
function Drag({
    loop,
    length,
    at,
    change,
}: {
    loop: LoopFacts;
    length: Length;
    at: number;
    change: (part: Partial<Length>) => Promise<unknown>;
}) {
    const { state, preview } = useJob();
    const stored = state.facts.loops?.find((l) => l.id === loop.id)?.lengths[at]?.size;
    const unit = length.size?.unit ?? 'mm';
    const scale = unit === 'in' ? 25.4 : 1;
    const places = unit === 'in' ? 4 : 3;
    const middle = (stored?.mm ?? length.size?.mm ?? 0) / scale;
    const [size, setSize] = useState<number | null>(null);
    const reach = Math.max(0.02 * Math.abs(middle), unit === 'in' ? 0.02 : 0.5);
    const as = (value: number) => ({ typed: value.toFixed(places), unit });
    return (
        <Slider
            aria-label={`Drag ${length.name}`}
            value={size ?? (length.size?.mm === undefined ? middle : length.size.mm / scale)}
            min={Math.max(0, middle - reach)}
            max={middle + reach}
            step={10 ** -places}
            marks={[{ value: middle }]}
            onChange={(event, value) => {
                setSize(value);
                // A key moves it and is done: that comes at once, below.
                if (!/^(mouse|touch|pointer)/.test(event.type)) {
                    return;
                }
                preview('loops', loop.id, {
                    lengths: loop.lengths.map((other, i) =>
                        i === at ? { ...other, size: as(value) } : other,
                    ),
                });
            }}
            onChangeCommitted={(_, value) => {
                void change({ size: { ...as(value), mm: value * scale } } as Partial<Length>).then(() =>
                    setSize(null),
                );
            }}
            sx={{ mx: 2, width: 'calc(100% - 32px)' }}
        />
    );
}

function More({
    plane,
    length,
    change,
    remove,
}: {
    plane: boolean;
    length: Length;
    change: (part: Partial<Length>) => Promise<unknown>;
    remove: () => Promise<unknown>;
}) {
    const { typing } = useSettings();
    const catalogue = useCatalogue();
    const field = (which: 'reserve_least' | 'reserve_most', label: string) => (
        <LengthField
            label={label}
            value={typedText(length[which] ?? null, typing)}
            unit={typing}
            store={(typed) => change({ [which]: { typed, unit: typing } })}
            clear={() => change({ [which]: null })}
        />
    );
    return (
        <Box
            sx={{
                display: 'grid',
                gap: 1.25,
                gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' },
                alignItems: 'start',
                mt: 1,
                pl: 2,
            }}
        >
            {plane ? (
                <NumberFact
                    label="Which way, °"
                    value={length.angle_deg ?? null}
                    helperText="0 along the first direction, 90 along the second"
                    store={(angle_deg) => change({ angle_deg })}
                />
            ) : (
                <TextField
                    select
                    label="It counts"
                    value={length.counts_half ? 'half' : 'whole'}
                    onChange={(event) => void change({ counts_half: event.target.value === 'half' })}
                >
                    <MenuItem value="whole">whole</MenuItem>
                    <MenuItem value="half">half: a diameter, across the axis</MenuItem>
                </TextField>
            )}
            {field('reserve_least', 'May be moved from')}
            {field('reserve_most', 'May be moved to')}
            {length.surface === null && (
                <TextField
                    select
                    label="It is"
                    value={length.origin ?? 'plan'}
                    onChange={(event) => {
                        const origin = event.target.value as NonNullable<Length['origin']>;
                        void change(origin === 'there' ? { origin, spread: 'measured' } : { origin });
                    }}
                >
                    <MenuItem value="plan">to be made so</MenuItem>
                    <MenuItem value="bought">bought</MenuItem>
                    <MenuItem value="there">there, and measured</MenuItem>
                </TextField>
            )}
            <TextField
                select
                label="How it comes out"
                value={length.spread}
                disabled={length.surface !== null}
                onChange={(event) => void change({ spread: event.target.value as Length['spread'] })}
            >
                <MenuItem value="uniform">anywhere in its limits</MenuItem>
                <MenuItem value="triangular">mostly midway</MenuItem>
                <MenuItem value="normal">from a steady process</MenuItem>
                <MenuItem value="measured">measured, ± is its doubt</MenuItem>
            </TextField>
            <NumberFact
                label="In use at, °C"
                value={length.in_use_c ?? null}
                store={(in_use_c) => change({ in_use_c })}
            />
            {length.surface === null && (
                <TextField
                    select
                    label="Of what metal"
                    value={catalogue.data ? (length.material ?? '') : ''}
                    onChange={(event) =>
                        void change({ material: event.target.value === '' ? null : event.target.value })
                    }
                >
                    <MenuItem value="">not said</MenuItem>
                    {catalogue.data?.materials.map((m) => (
                        <MenuItem key={m.name} value={m.name}>
                            {m.name}
                        </MenuItem>
                    ))}
                </TextField>
            )}
            <Button color="inherit" onClick={() => void remove()} sx={{ textDecoration: 'underline' }}>
                Take out
            </Button>
        </Box>
    );
}
