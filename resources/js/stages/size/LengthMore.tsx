import { LinkButton } from '../../shell/LinkButton';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useCatalogue } from '../../api/queries';
import { LengthField } from '../../entry/LengthField';
import { typedText } from '../../entry/typed';
import { NumberFact } from '../../entry/NumberFact';
import { useSettings } from '../../shell/settings';
import type { Length } from './loopLength';

/** What is seldom said of a length: how it counts, comes out, may be moved, and runs warm. */
export function LengthMore({
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
                gridTemplateColumns: {
                    xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                    sm: 'repeat(4, 1fr)',
                },
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
            <LinkButton onClick={() => void remove()}>Take out</LinkButton>
        </Box>
    );
}
