import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';

/** Says where a job went, and takes it back. */
export function Moved({ says, close, undo }: { says: string; close: () => void; undo: () => void }) {
    return (
        <Snackbar
            open
            autoHideDuration={12000}
            onClose={(_, why) => why !== 'clickaway' && close()}
            message={says}
            action={
                <Button
                    color="inherit"
                    onClick={() => {
                        undo();
                        close();
                    }}
                >
                    Undo
                </Button>
            }
        />
    );
}
