import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { client, orRefuse } from '../api/client';
import type { Backups as Kept } from '../api/types';
import { moment } from '../entry/day';

type Backup = Kept['backups'][number];

/** The others are older. */
const SHOWN = 5;

/** What keeps the shop when the disk does not: the last backups, one more now, and each of them brought back. */
export function Backups() {
    const queries = useQueryClient();
    const backups = useQuery({
        queryKey: ['backups'],
        queryFn: async () => orRefuse(await client.GET('/api/backups')),
        // Something may have been written since it was asked.
        staleTime: 0,
    });
    const [all, setAll] = useState(false);
    const [busy, setBusy] = useState(false);
    const [refused, setRefused] = useState<string | null>(null);
    const [asked, setAsked] = useState<Backup | null>(null);
    const list = backups.data?.backups ?? [];
    const last = list[0];
    const make = async () => {
        if (busy) {
            return;
        }
        setBusy(true);
        setRefused(null);
        try {
            queries.setQueryData(['backups'], orRefuse(await client.POST('/api/backups', { body: {} })));
        } catch (error) {
            setRefused(error instanceof Error ? error.message : 'That did not work. Try again.');
        }
        setBusy(false);
    };
    return (
        <Box component="section" aria-label="Backups" sx={{ maxWidth: 980 }}>
            <Typography color="textSecondary" sx={{ mb: 1 }}>
                Made on the hour while something is written, and on leaving. Kept are all of a day, one a day
                for a month, one a month for two years.
            </Typography>
            <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
                <Typography variant="said" role="status" sx={{ flex: '1 1 20rem' }}>
                    {last === undefined
                        ? backups.isSuccess && 'There is no backup yet.'
                        : backups.data?.changed
                          ? `Last backed up ${moment(last.made_at)}; something was written since.`
                          : `All is backed up, ${moment(last.made_at)}.`}
                </Typography>
                <Button variant="outlined" color="inherit" aria-disabled={busy} onClick={() => void make()}>
                    Back up now
                </Button>
                <Button variant="outlined" color="inherit" href="/api/everything" download>
                    Everything as open files
                </Button>
            </Box>
            {refused !== null && (
                <Typography color="error" role="alert" sx={{ mb: 1 }}>
                    {refused}
                </Typography>
            )}
            {(all ? list : list.slice(0, SHOWN)).map((backup) => (
                <Box
                    key={backup.name}
                    role="group"
                    aria-label={moment(backup.made_at)}
                    sx={{
                        display: 'flex',
                        gap: 1.5,
                        alignItems: 'center',
                        flexWrap: 'wrap',
                        borderTop: 1,
                        borderColor: 'divider',
                        py: 0.5,
                    }}
                >
                    <Typography sx={{ flex: '1 1 16rem' }}>
                        <b>{moment(backup.made_at)}</b>
                        {`: ${backup.jobs} jobs, ${backup.photos} photographs`}
                    </Typography>
                    <Button color="inherit" href={`/api/backups/${backup.name}`} download>
                        Take it out
                    </Button>
                    <Button color="inherit" onClick={() => setAsked(backup)}>
                        Bring it back …
                    </Button>
                </Box>
            ))}
            {list.length > SHOWN && !all && (
                <Button color="inherit" onClick={() => setAll(true)}>
                    {`${list.length - SHOWN} older ones`}
                </Button>
            )}
            {asked && <Restore backup={asked} close={() => setAsked(null)} />}
        </Box>
    );
}

/** Says first what would be lost. */
function Restore({ backup, close }: { backup: Backup; close: () => void }) {
    const path = { params: { path: { backup: backup.name } } };
    const lost = useQuery({
        queryKey: ['backups', backup.name],
        queryFn: async () =>
            orRefuse(await client.POST('/api/backups/{backup}/restore', { ...path, body: { yes: false } })),
        staleTime: 0,
        retry: false,
    });
    const [busy, setBusy] = useState(false);
    const [refused, setRefused] = useState<string | null>(null);
    const carryOut = async () => {
        if (busy) {
            return;
        }
        setBusy(true);
        try {
            orRefuse(await client.POST('/api/backups/{backup}/restore', { ...path, body: { yes: true } }));
            // Nothing that is held here is true any more.
            window.location.reload();
        } catch (error) {
            setBusy(false);
            setRefused(error instanceof Error ? error.message : 'That did not work. Try again.');
        }
    };
    const why = refused ?? (lost.error instanceof Error ? lost.error.message : null);
    return (
        <Dialog open onClose={close} fullWidth maxWidth="sm">
            <DialogTitle>Back to {moment(backup.made_at)}</DialogTitle>
            <DialogContent>
                {why !== null && (
                    <Typography color="error" role="alert">
                        {why}
                    </Typography>
                )}
                {lost.isPending && <Typography>Looking through it …</Typography>}
                {lost.data && (
                    <>
                        <Typography sx={{ mb: 1 }}>
                            {lost.data.loses.length === 0
                                ? 'Nothing would be lost.'
                                : 'This would be lost of what is there now:'}
                        </Typography>
                        {lost.data.loses.map((says) => (
                            <Box
                                key={says}
                                sx={{ borderLeft: 5, borderColor: 'overlap.main', pl: 1.25, my: 0.75 }}
                            >
                                <Typography>{says}</Typography>
                            </Box>
                        ))}
                        <Typography color="textSecondary" sx={{ mt: 1 }}>
                            What is there now is backed up first, so this can be taken back.
                        </Typography>
                    </>
                )}
            </DialogContent>
            <DialogActions>
                <Button color="inherit" onClick={close}>
                    Leave it as it is
                </Button>
                <Button
                    variant="contained"
                    disabled={!lost.data}
                    aria-disabled={busy}
                    onClick={() => void carryOut()}
                >
                    Bring it back
                </Button>
            </DialogActions>
        </Dialog>
    );
}
