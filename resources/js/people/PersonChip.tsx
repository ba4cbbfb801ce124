import Button from '@mui/material/Button';
import { Suspense, useState, useSyncExternalStore } from 'react';
import { later } from '../shell/later';
import { whoIsHere } from './me';

const PersonDialog = later(async () => (await import('./PersonDialog')).PersonDialog);

/** Who is signed in; a tap changes it. Nothing where nobody signs in. */
export function PersonChip() {
    const { person } = useSyncExternalStore(whoIsHere.subscribe, whoIsHere.now);
    const [open, setOpen] = useState(false);
    if (person === null) {
        return null;
    }
    return (
        <>
            <Button
                variant="outlined"
                color="inherit"
                aria-label={`Signed in: ${person.name}. Change it`}
                sx={{ maxWidth: 150, '@media print': { display: 'none' } }}
                onClick={() => setOpen(true)}
            >
                <span style={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
                    {person.role === 'looker' ? `${person.name}, looks on` : person.name}
                </span>
            </Button>
            <Suspense>{open && <PersonDialog close={() => setOpen(false)} />}</Suspense>
        </>
    );
}
