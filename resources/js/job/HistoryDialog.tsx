import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useHistory } from '../api/queries';
import { moment } from '../entry/day';
import { useJob } from './JobContext';
import { useSearchParams } from '../shell/router';
import { LinkButton } from '../shell/LinkButton';

const KINDS = {
    change: '',
    undo: 'Taken back: ',
    redo: 'Carried out again: ',
    check: 'After a check of the gauge: ',
};

/** What was done to this job, as people read it; and the way back, one by one or as far as a row. */
export function HistoryDialog({ close }: { close: () => void }) {
    const { state, saver } = useJob();
    const job = state.facts.id;
    const [surface, setSurface] = useState('');
    const history = useHistory(job, state.version, surface);
    const rows = history.data?.pages.flat() ?? [];
    const [going, setGoing] = useState(false);
    const [refused, setRefused] = useState<string | null>(null);
    const back = async (to: number) => {
        setGoing(true);
        const steps = rows.filter((row) => row.id >= to && row.stands && row.here !== false).length;
        let why: string | null = null;
        for (let i = 0; i < steps && why === null; i++) {
            why = await saver.undo(job);
        }
        setRefused(why);
        setGoing(false);
    };
    const [, setParams] = useSearchParams();
    const lookAt = (change: number) =>
        setParams((now) => {
            now.delete('history');
            now.set('as_of', String(change));
            return now;
        });
    const step = async (go: (job: string) => Promise<string | null>) => setRefused(await go(job));
    return (
        <Dialog open onClose={close} fullWidth maxWidth="md">
            <DialogTitle>What was done</DialogTitle>
            <DialogContent>
                <Box sx={{ display: 'flex', gap: 1, mb: 1, pt: 1, flexWrap: 'wrap' }}>
                    <Button
                        variant="outlined"
                        color="inherit"
                        disabled={!state.can_undo || going}
                        onClick={() => void step(saver.undo)}
                    >
                        Undo
                    </Button>
                    <Button
                        variant="outlined"
                        color="inherit"
                        disabled={!state.can_redo || going}
                        onClick={() => void step(saver.redo)}
                    >
                        Redo
                    </Button>
                    <TextField
                        select
                        size="small"
                        label="Of"
                        value={surface}
                        onChange={(event) => setSurface(event.target.value)}
                        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
                        fullWidth={false}
                        sx={{ minWidth: 220 }}
                    >
                        <MenuItem value="">the whole job</MenuItem>
                        {state.facts.surfaces.map((one) => (
                            <MenuItem key={one.id} value={one.id}>
                                {one.name}
                            </MenuItem>
                        ))}
                    </TextField>
                    <Box sx={{ flex: 1 }} />
                    <Button color="inherit" onClick={close}>
                        Close
                    </Button>
                </Box>
                {refused !== null && (
                    <Alert severity="warning" variant="outlined" sx={{ mb: 1 }}>
                        {refused}
                    </Alert>
                )}
                <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
                    {rows.map((row) => (
                        <Box
                            component="li"
                            key={row.id}
                            sx={{
                                display: 'grid',
                                gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '9rem minmax(0, 1fr) auto' },
                                columnGap: 1.5,
                                py: 0.75,
                                borderTop: 1,
                                borderColor: 'divider',
                            }}
                        >
                            <Typography variant="body2" color="textSecondary">
                                {moment(row.at)}
                                {row.by !== null && `, ${row.by}`}
                                {row.by === null && row.here === false && ', on another device'}
                            </Typography>
                            <Box>
                                {row.told.map((told, i) => (
                                    <Typography
                                        key={i}
                                        variant="body2"
                                        sx={{
                                            textDecoration:
                                                row.kind === 'change' && !row.stands
                                                    ? 'line-through'
                                                    : undefined,
                                        }}
                                    >
                                        {i === 0 && KINDS[row.kind]}
                                        {told.what}: {told.from === '' ? '' : `${told.from} → `}
                                        <b>{told.to}</b>
                                    </Typography>
                                ))}
                                {row.more > 0 && (
                                    <Typography variant="body2">and {row.more} more with it</Typography>
                                )}
                            </Box>
                            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'start' }}>
                                {row.id !== rows[0]?.id && (
                                    <LinkButton size="small" onClick={() => lookAt(row.id)}>
                                        As it was then
                                    </LinkButton>
                                )}
                                {surface === '' && row.stands && row.here !== false && (
                                    <LinkButton
                                        size="small"
                                        disabled={going}
                                        onClick={() => void back(row.id)}
                                    >
                                        Undo back to here
                                    </LinkButton>
                                )}
                            </Box>
                        </Box>
                    ))}
                </Box>
                {history.hasNextPage && (
                    <Button
                        color="inherit"
                        disabled={history.isFetchingNextPage}
                        onClick={() => void history.fetchNextPage()}
                    >
                        What was done before
                    </Button>
                )}
                {history.isSuccess && rows.length === 0 && (
                    <Typography>Nothing was changed since it came in.</Typography>
                )}
            </DialogContent>
        </Dialog>
    );
}
