import { LinkButton } from './LinkButton';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { Suspense, useState, useSyncExternalStore } from 'react';
import { useSearchParams } from './router';
import { useJob } from '../job/JobContext';
import { useKey } from './keys';
import { later } from './later';

const HistoryDialog = later(async () => (await import('../job/HistoryDialog')).HistoryDialog);

/** Back and forth over what was done on this device; and a bar with the way back after something was taken away. */
export function UndoRedo() {
    const { state, saver, whatIf } = useJob();
    const job = state.facts.id;
    const removed = useSyncExternalStore(saver.subscribe, () => saver.removed);
    const [refused, setRefused] = useState<string | null>(null);
    const undo = () => void saver.undo(job).then(setRefused);
    const redo = () => void saver.redo(job).then(setRefused);
    useKey('z', undo);
    useKey('y', redo);
    const [params, setParams] = useSearchParams();
    const look = (on: boolean) =>
        setParams(
            (now) => {
                now.delete('history');
                if (on) {
                    now.set('history', '1');
                }
                return now;
            },
            { replace: true },
        );
    useKey('h', () => look(true));
    return (
        <>
            <Step name="Undo" hotkey="z" sign="↶" can={state.can_undo && !whatIf.on} go={undo} />
            <Step name="Redo" hotkey="y" sign="↷" can={state.can_redo && !whatIf.on} go={redo} />
            <Suspense>{params.has('history') && <HistoryDialog close={() => look(false)} />}</Suspense>
            <Snackbar
                open={refused !== null}
                anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
                autoHideDuration={12000}
                onClose={(_, reason) => reason !== 'clickaway' && setRefused(null)}
                message={refused ?? ''}
            />
            <Snackbar
                open={removed !== null}
                anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
                autoHideDuration={12000}
                onClose={(_, reason) => reason !== 'clickaway' && saver.sayRemoved(null)}
                message={removed === null ? '' : `${removed}: taken away.`}
                action={<LinkButton onClick={undo}>Bring it back</LinkButton>}
            />
        </>
    );
}

function Step({
    name,
    hotkey,
    sign,
    can,
    go,
}: {
    name: string;
    hotkey: string;
    sign: string;
    can: boolean;
    go: () => void;
}) {
    return (
        <Button
            variant="outlined"
            color="inherit"
            aria-label={name}
            aria-keyshortcuts={hotkey}
            title={`${name} (${hotkey.toUpperCase()})`}
            disabled={!can}
            onClick={go}
            sx={{ minWidth: 44, px: 0, typography: 'outcome' }}
        >
            {sign}
        </Button>
    );
}
