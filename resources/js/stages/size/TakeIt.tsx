import Button from '@mui/material/Button';
import { useState } from 'react';
import type { TriedChange } from '../../api/types';
import { useJob } from '../../job/JobContext';

/** Types the numbers of a way out; nothing where it is work to be done. */
export function TakeIt({ changes, name }: { changes: TriedChange[]; name: string }) {
    const { save } = useJob();
    const [busy, setBusy] = useState(false);
    if (changes.length === 0) {
        return null;
    }
    const take = async () => {
        setBusy(true);
        try {
            for (const { list, thing, fact } of changes) {
                await save(list, thing, fact);
            }
        } finally {
            setBusy(false);
        }
    };
    return (
        <Button
            variant="outlined"
            color="inherit"
            disabled={busy}
            aria-label={`Take it: ${name}`}
            onClick={() => void take().catch(() => undefined)}
        >
            Take it
        </Button>
    );
}
