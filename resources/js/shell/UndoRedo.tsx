import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useSyncExternalStore } from 'react';
import { useJob } from '../job/JobContext';
import { useKey } from './keys';

/** Back and forth over what was done on this device; and a bar with the way back after something was taken away. */
export function UndoRedo() {
    const { state, saver, whatIf } = useJob();
    const job = state.facts.id;
    const removed = useSyncExternalStore(saver.subscribe, () => saver.removed);
    const undo = () => void saver.undo(job);
    const redo = () => void saver.redo(job);
    useKey('z', undo);
    useKey('y', redo);
    return (
        <>
            <Button
                variant="outlined"
                color="inherit"
                aria-label="Undo"
                aria-keyshortcuts="z"
                title="Undo (Z)"
                disabled={!state.can_undo || whatIf.on}
                onClick={undo}
                sx={{ minWidth: 44, px: 0, fontSize: 20, lineHeight: 1 }}
            >
                ↶
            </Button>
            <Button
                variant="outlined"
                color="inherit"
                aria-label="Redo"
                aria-keyshortcuts="y"
                title="Redo (Y)"
                disabled={!state.can_redo || whatIf.on}
                onClick={redo}
                sx={{ minWidth: 44, px: 0, fontSize: 20, lineHeight: 1 }}
            >
                ↷
            </Button>
            <Snackbar
                open={removed !== null}
                anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
                autoHideDuration={12000}
                onClose={(_, reason) => reason !== 'clickaway' && saver.sayRemoved(null)}
                message={removed === null ? '' : `${removed}: taken away.`}
                action={
                    <Button color="inherit" onClick={undo} sx={{ textDecoration: 'underline' }}>
                        Bring it back
                    </Button>
                }
            />
        </>
    );
}
