import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Waits } from '../../api/types';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';

const FOR: Waits['for'][] = ['cooling', 'curing', 'stock', 'customer', 'outside work'];

/** A moment in the field's own form, in the time of this place. */
function local(iso: string | null): string {
    if (iso === null) {
        return '';
    }
    const time = new Date(iso);
    return new Date(time.getTime() - time.getTimezoneOffset() * 60000).toISOString().slice(0, 16);
}

/** What the job waits for, and until when: the bench shows it under Waiting. */
export function Waiting() {
    const { facts, save, editHead } = useJob();
    const waits = facts.waits;
    const store = (changes: Partial<Waits>) =>
        editHead((now) => ({ waits: { for: 'customer', until: null, note: '', ...now.waits, ...changes } }));
    return (
        <Box sx={{ display: 'grid', gap: 1.5 }}>
            <TextField
                select
                label="Does it wait for something?"
                value={waits?.for ?? ''}
                onChange={(event) =>
                    void (event.target.value === ''
                        ? save(null, '', { waits: null })
                        : store({ for: event.target.value as Waits['for'] }))
                }
            >
                <MenuItem value="">no, it can be worked on</MenuItem>
                {FOR.map((what) => (
                    <MenuItem key={what} value={what}>
                        {what}
                    </MenuItem>
                ))}
            </TextField>
            {waits && (
                <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: '1fr 1fr' }}>
                    <TextFact
                        label="Until"
                        type="datetime-local"
                        value={local(waits.until)}
                        slotProps={{ inputLabel: { shrink: true } }}
                        store={(text) => store({ until: text === '' ? null : new Date(text).toISOString() })}
                    />
                    <TextFact label="What exactly" value={waits.note} store={(note) => store({ note })} />
                </Box>
            )}
        </Box>
    );
}
