import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Suspense, useState, useSyncExternalStore } from 'react';
import { connection } from '../offline/connection';
import { later } from './later';
import { useSaver, useSaveStatus } from './SaverContext';

const NotStored = later(async () => (await import('./NotStored')).NotStored);

/** Said in full by the bar below while there is no connection. */
const AWAY = 'Waits on this device';

const WORDS = { saved: 'Saved', saving: 'Saving', failed: 'Not saved yet, trying again' };

/** Says whether what was typed is stored; what was refused or changed elsewhere stays listed until it is dealt with. */
export function SaveMark() {
    const saver = useSaver();
    const status = useSaveStatus();
    const unsettled = useSyncExternalStore(saver.subscribe, () => saver.unsettled);
    const away = useSyncExternalStore(connection.subscribe, connection.away);
    const [open, setOpen] = useState(false);
    const [seen, setSeen] = useState(0);
    const clashes = unsettled.filter((one) => one.kind === 'clash').length;
    if (clashes !== seen) {
        // A clash asks at once; what was refused waits to be looked at.
        setSeen(clashes);
        if (clashes > seen) {
            setOpen(true);
        }
    }
    return (
        <>
            <Typography
                role="status"
                variant="body2"
                sx={{
                    color: status === 'failed' ? 'error.main' : 'text.secondary',
                    fontWeight: status === 'failed' ? 700 : 400,
                    minWidth: 52,
                }}
            >
                {status === 'failed' && away !== null ? AWAY : WORDS[status]}
            </Typography>
            {unsettled.length > 0 && (
                <Button variant="outlined" color="error" onClick={() => setOpen(true)}>
                    {unsettled.length} not stored
                </Button>
            )}
            <Suspense>
                {open && unsettled.length > 0 && (
                    <NotStored
                        list={unsettled}
                        open
                        close={() => setOpen(false)}
                        again={(one) => saver.again(one)}
                        drop={(one) => saver.drop(one)}
                    />
                )}
            </Suspense>
        </>
    );
}
