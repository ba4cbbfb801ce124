import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { SignIn } from './SignIn';

/** The shop asks for the PIN again; what was typed waits behind it. */
export function SittingOver() {
    return (
        <Dialog open fullWidth maxWidth="sm">
            <DialogTitle>Sign in again</DialogTitle>
            <DialogContent>
                <Typography sx={{ mb: 1.5 }}>
                    Signed out after a while. What you typed is kept on this device and stored when you sign
                    in.
                </Typography>
                <SignIn />
            </DialogContent>
        </Dialog>
    );
}
