import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { client, newId, orRefuse } from '../api/client';
import { jobKey, useCatalogue } from '../api/queries';
import { useSettings } from '../shell/settings';
import { KindPicture } from './KindPicture';

/** Starting a job is choosing what to make. */
export function NewJob({ open, close }: { open: boolean; close: () => void }) {
    const catalogue = useCatalogue();
    const { typing } = useSettings();
    const navigate = useNavigate();
    const queries = useQueryClient();
    const [id] = useState(newId);
    const [kind, setKind] = useState('plain-bush');
    const [machine, setMachine] = useState('');
    const [part, setPart] = useState('');
    const [refused, setRefused] = useState<string | null>(null);
    const start = async () => {
        setRefused(null);
        try {
            const state = orRefuse(
                await client.POST('/api/jobs', {
                    body: { id, kind, machine, part: part === '' ? 'Bush' : part, unit: typing },
                }),
            );
            queries.setQueryData(jobKey(id), state);
            await queries.invalidateQueries({ queryKey: ['bench'] });
            void navigate(`/job/${id}/take-in`);
        } catch (error) {
            setRefused(
                error instanceof Error && error.message !== 'Failed to fetch'
                    ? error.message
                    : 'Not stored yet: the shop can’t be reached. Try again.',
            );
        }
    };
    return (
        <Dialog open={open} onClose={close} maxWidth="md" fullWidth aria-labelledby="new-job">
            <DialogTitle id="new-job">What are you making?</DialogTitle>
            <DialogContent>
                <Box
                    role="radiogroup"
                    aria-label="Kind"
                    sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mb: 2.5 }}
                >
                    {catalogue.data?.kinds.map((entry) => (
                        <ButtonBase
                            key={entry.code}
                            role="radio"
                            aria-checked={kind === entry.code}
                            onClick={() => setKind(entry.code)}
                            sx={{
                                border: kind === entry.code ? 2 : 1,
                                borderColor: kind === entry.code ? 'primary.main' : 'strong.main',
                                p: 1.5,
                                flexDirection: 'column',
                                gap: 1,
                                width: 250,
                            }}
                        >
                            <KindPicture width={150} />
                            <Typography sx={{ fontWeight: 700 }}>{entry.name}</Typography>
                            <Typography variant="body2" color="textSecondary">
                                {entry.says}
                            </Typography>
                        </ButtonBase>
                    ))}
                </Box>
                <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { sm: '1fr 1fr' } }}>
                    <TextField
                        label="Machine"
                        value={machine}
                        onChange={(event) => setMachine(event.target.value)}
                        autoFocus
                    />
                    <TextField
                        label="Part"
                        value={part}
                        placeholder="Bush"
                        onChange={(event) => setPart(event.target.value)}
                    />
                </Box>
                {refused !== null && (
                    <Alert severity="error" variant="outlined" sx={{ mt: 2 }}>
                        {refused}
                    </Alert>
                )}
            </DialogContent>
            <DialogActions>
                <Button color="inherit" onClick={close}>
                    Not now
                </Button>
                <Button variant="contained" onClick={() => void start()}>
                    Start the job
                </Button>
            </DialogActions>
        </Dialog>
    );
}
