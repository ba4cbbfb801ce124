import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import Typography from '@mui/material/Typography';
import { useSyncExternalStore } from 'react';
import { useSaver, useSaveStatus } from './SaverContext';

const WORDS = { saved: 'Saved', saving: 'Saving', failed: 'Not saved yet, trying again' };

/** Says whether what was typed is stored; a failed save stays in this browser and is tried again. */
export function SaveMark() {
    const saver = useSaver();
    const status = useSaveStatus();
    const clash = useSyncExternalStore(saver.subscribe, () => saver.clash);
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
                {WORDS[status]}
            </Typography>
            <Snackbar open={clash !== null} anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}>
                <Alert
                    severity="warning"
                    variant="outlined"
                    sx={{ bgcolor: 'background.paper' }}
                    action={
                        <>
                            <Button onClick={() => saver.settle(true)}>Keep mine</Button>
                            <Button onClick={() => saver.settle(false)}>Take theirs</Button>
                        </>
                    }
                >
                    This was changed in another window in the meantime. What you typed is kept until you
                    choose.
                </Alert>
            </Snackbar>
        </>
    );
}
