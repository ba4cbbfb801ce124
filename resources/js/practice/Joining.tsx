import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Deed, PracticeBench } from '../api/types';
import { readNumber } from '../entry/number';
import { PressCurve } from './PressCurve';
import type { useDeed } from './usePractice';

const WAYS = [
    { way: 'hand', name: 'By hand' },
    { way: 'press', name: 'Press it' },
    { way: 'warm', name: 'Warm the outer, cool the inner' },
    { way: 'bond', name: 'Bond it' },
] as const;

/** Two parts put together, and what came of it. */
export function Joining({ bench, act }: { bench: PracticeBench; act: ReturnType<typeof useDeed>['act'] }) {
    const [joint, setJoint] = useState('');
    const [way, setWay] = useState<(typeof WAYS)[number]['way']>('hand');
    const [outer, setOuter] = useState('150');
    const [inner, setInner] = useState('20');
    const [last, setLast] = useState<Deed | null>(null);
    const here = bench.joints.find((j) => j.id === joint) ?? bench.joints[0];
    if (!here) {
        return <Typography>Nothing here is put together by its fit alone.</Typography>;
    }
    const [outside, inside] = [celsius(outer), celsius(inner)];
    const go = async () => {
        if (way === 'warm' && ('refused' in outside || 'refused' in inside)) {
            return;
        }
        const done = await act({
            kind: 'together',
            joint: here.id,
            way,
            ...(way === 'warm' && 'value' in outside && 'value' in inside
                ? { outer_c: outside.value, inner_c: inside.value }
                : {}),
        });
        setLast(done?.deed ?? null);
    };
    return (
        <Box
            component="form"
            onSubmit={(event) => {
                event.preventDefault();
                void go();
            }}
            sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-start' }}
        >
            <TextField
                select
                label="Joint"
                value={here.id}
                onChange={(event) => {
                    setJoint(event.target.value);
                    setLast(null);
                }}
                sx={{ width: '15rem', maxWidth: '100%' }}
            >
                {bench.joints.map((j) => (
                    <MenuItem key={j.id} value={j.id}>
                        {j.name}
                    </MenuItem>
                ))}
            </TextField>
            <TextField
                select
                label="How"
                value={way}
                onChange={(event) => setWay(event.target.value as typeof way)}
                sx={{ width: '17rem', maxWidth: '100%' }}
            >
                {WAYS.map((w) => (
                    <MenuItem key={w.way} value={w.way}>
                        {w.name}
                    </MenuItem>
                ))}
            </TextField>
            {way === 'warm' && (
                <>
                    <TextField
                        label="Outer part, °C"
                        value={outer}
                        onChange={(event) => setOuter(event.target.value)}
                        error={'refused' in outside}
                        helperText={'refused' in outside ? outside.refused : null}
                        sx={{ width: '8rem', maxWidth: '100%' }}
                    />
                    <TextField
                        label="Inner part, °C"
                        value={inner}
                        onChange={(event) => setInner(event.target.value)}
                        error={'refused' in inside}
                        helperText={'refused' in inside ? inside.refused : null}
                        sx={{ width: '8rem', maxWidth: '100%' }}
                    />
                </>
            )}
            <Button type="submit" variant="contained">
                Put it together
            </Button>
            <Box sx={{ flexBasis: '100%', minHeight: 32 }} aria-live="polite">
                {last?.result.says !== undefined && (
                    <Typography sx={{ fontWeight: 700 }}>{last.result.says}</Typography>
                )}
                {last?.result.force_n !== undefined && last.result.force_n > 0 && (
                    <PressCurve key={last.id} newtons={last.result.force_n} stuck={here.joined === 'stuck'} />
                )}
                {last === null && here.joined !== null && (
                    <Typography color="textSecondary">It was put together already.</Typography>
                )}
            </Box>
        </Box>
    );
}

/** How warm a part is made: never taken for anything where it is not said. */
function celsius(text: string): { value: number } | { refused: string } {
    const read = readNumber(text);
    if ('refused' in read) {
        return read;
    }
    return read.value === null ? { refused: 'Say how warm, in °C.' } : { value: read.value };
}
