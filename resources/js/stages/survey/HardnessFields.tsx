import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Part } from '../../api/types';
import { NumberFact } from '../../entry/NumberFact';
import { TextFact } from '../../entry/TextFact';

type Hardness = NonNullable<Part['hardness']>;
const SCALES: Hardness['scale'][] = ['HRC', 'HB', 'HV'];

/** A hardness as it was taken: in which scale, how much, where. */
export function HardnessFields({
    given,
    store,
}: {
    given: Hardness | null;
    store: (hardness: Hardness | null) => Promise<unknown>;
}) {
    const [scale, setScale] = useState(given?.scale ?? 'HRC');
    return (
        <Box
            sx={{
                display: 'grid',
                gap: 1.25,
                mt: 1.5,
                gridTemplateColumns: '5.75rem 1fr 1.4fr',
                alignItems: 'start',
            }}
        >
            <TextField
                select
                label="Scale"
                value={scale}
                onChange={(event) => {
                    const next = event.target.value as Hardness['scale'];
                    setScale(next);
                    if (given) {
                        void store({ ...given, scale: next });
                    }
                }}
            >
                {SCALES.map((s) => (
                    <MenuItem key={s} value={s}>
                        {s}
                    </MenuItem>
                ))}
            </TextField>
            <NumberFact
                label="Hardness"
                value={given?.value ?? null}
                store={(value) => store(value === null ? null : { scale, value, where: given?.where ?? '' })}
            />
            <TextFact
                label="Taken where"
                value={given?.where ?? ''}
                disabled={given === null}
                store={(where) => (given ? store({ ...given, where }) : Promise.resolve())}
            />
        </Box>
    );
}
