import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { LoopAnswer, LoopFacts } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { BARE, type Length } from './loopLength';
import { LoopRow } from './LoopRow';

/** The lengths of a loop in order, typed over in place. */
export function LoopRows({
    loop,
    answer,
    store,
}: {
    loop: LoopFacts;
    answer: LoopAnswer;
    store: (next: (now: Length[]) => Length[]) => Promise<unknown>;
}) {
    const { facts } = useJob();
    const [name, setName] = useState('');
    const add = (length: Partial<Length> & { name: string }) =>
        void store((now) => [...now, { ...BARE, opens: now.length === 0, ...length }]);
    return (
        <Box component="section" aria-label="Lengths of the loop" sx={{ mt: 1 }}>
            {loop.lengths.map((length, at) => (
                <LoopRow
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
