import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useEffect, useState } from 'react';
import { client, orRefuse } from '../api/client';
import { useSaveStatus } from '../shell/SaverContext';
import { askAgain, enter } from './me';
import { SignIn } from './SignIn';

/** Two taps to somebody else's PIN; or nobody at this device. */
export function PersonDialog({ close }: { close: () => void }) {
    const status = useSaveStatus();
    const [refused, setRefused] = useState(false);
    useEffect(() => void askAgain(), []);
    const leave = async () => {
        try {
            enter(orRefuse(await client.DELETE('/api/me')));
        } catch {
            setRefused(true);
        }
    };
    return (
        <Dialog open onClose={close} fullWidth maxWidth="sm">
            <DialogTitle>Who is at this device?</DialogTitle>
            <DialogContent>
                {status !== 'saved' && (
                    <Alert severity="info" variant="outlined" sx={{ mb: 1.5 }}>
                        Not everything you typed is stored yet. It waits on this device until you sign in here
                        again.
                    </Alert>
                )}
                {refused && (
                    <Alert severity="warning" variant="outlined" sx={{ mb: 1.5 }}>
                        The shop does not answer just now: you are still signed in.
                    </Alert>
                )}
                <SignIn />
            </DialogContent>
            <DialogActions>
                <Button color="inherit" onClick={() => void leave()}>
                    Sign out
                </Button>
                <Button color="inherit" onClick={close}>
                    Close
                </Button>
            </DialogActions>
        </Dialog>
    );
}
