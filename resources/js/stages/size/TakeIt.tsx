import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { TriedChange } from '../../api/types';
import { useJob } from '../../job/JobContext';

/** Types the numbers of a way out, as one change; nothing where it is work to be done. */
export function TakeIt({ changes, name }: { changes: TriedChange[]; name: string }) {
    const { saveAll } = useJob();
    const [busy, setBusy] = useState(false);
    const [refused, setRefused] = useState<string | null>(null);
    if (changes.length === 0) {
        return null;
    }
    const take = () => {
        setBusy(true);
        setRefused(null);
        saveAll(changes)
            .catch((error: Error) => setRefused(error.message))
            .finally(() => setBusy(false));
    };
    return (
        <>
            <Button
                variant="outlined"
                color="inherit"
                disabled={busy}
                aria-label={`Take it: ${name}`}
                onClick={take}
            >
                Take it
            </Button>
            {refused !== null && (
                <Typography variant="body2" color="error" role="alert">
                    {refused}
                </Typography>
            )}
        </>
    );
}
