import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useTheme } from '@mui/material/styles';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type KeyboardEvent } from 'react';
import { useNavigate } from '../shell/router';
import { client, newId, orRefuse } from '../api/client';
import { whole } from '../api/held';
import { jobKey, useKinds } from '../api/queries';
import type { Kind } from '../api/types';
import { guide } from '../shell/guided';
import { useSettings } from '../shell/settings';
import { KindCard } from './KindCard';

/** How well a kind answers the search: 0 by its name, 1 by what people call it, 2 by its sentence; null not at all. */
function rank(kind: Kind, search: string): number | null {
    const words = search.toLowerCase().split(/\s+/);
    const texts = [kind.name, kind.words.join(' '), kind.says];
    const at = texts.findIndex((_, i) => {
        const text = texts
            .slice(0, i + 1)
            .join(' ')
            .toLowerCase();
        return words.every((word) => text.includes(word));
    });
    return at < 0 ? null : at;
}

/** The kinds that answer the search, the best first. */
function found(kinds: Kind[] | undefined, search: string): Kind[] {
    return (kinds ?? [])
        .map((k) => ({ kind: k, rank: rank(k, search.trim()) }))
        .filter((entry) => entry.rank !== null)
        .sort((a, b) => (a.rank ?? 0) - (b.rank ?? 0))
        .map((entry) => entry.kind);
}

/** The one that was chosen, or else the best. */
function picked(found: Kind[], chosen: string | null): Kind | undefined {
    return found.find((k) => k.code === chosen) ?? found[0];
}

/** Starting a job is choosing what to make: a sheet of section pictures, searched by word. */
export function NewJob({ open, close }: { open: boolean; close: () => void }) {
    const kinds = useKinds();
    const { typing } = useSettings();
    const navigate = useNavigate();
    const queries = useQueryClient();
    const small = useMediaQuery(useTheme().breakpoints.down('sm'));
    const [id] = useState(newId);
    const [search, setSearch] = useState('');
    const [chosen, setChosen] = useState<string | null>(null);
    const [machine, setMachine] = useState('');
    const [part, setPart] = useState('');
    const [refused, setRefused] = useState<string | null>(null);
    const machineField = useRef<HTMLInputElement>(null);
    const partField = useRef<HTMLInputElement>(null);
    const shown = found(kinds.data, search);
    const kind = picked(shown, chosen);

    const move = (by: number) => {
        const at = shown.findIndex((k) => k.code === kind?.code);
        const next = shown[(at + by + shown.length) % shown.length];
        if (next) {
            setChosen(next.code);
        }
        return next;
    };
    const onSearchKey = (event: KeyboardEvent) => {
        if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            move(event.key === 'ArrowDown' ? 1 : -1);
        }
        if (event.key === 'Enter' && (kind || kinds.isPending)) {
            event.preventDefault();
            setChosen(kind?.code ?? null);
            machineField.current?.focus();
        }
    };
    const onSheetKey = (event: KeyboardEvent) => {
        const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
        if (by !== undefined) {
            event.preventDefault();
            const next = move(by);
            document.getElementById(`kind-${next?.code ?? ''}`)?.focus();
        }
    };
    const start = async () => {
        // A hurried person's Enter may come before the kinds do.
        const kind = picked(found(kinds.data ?? (await kinds.refetch()).data, search), chosen);
        if (!kind) {
            return;
        }
        setRefused(null);
        try {
            const state = orRefuse(
                await client.POST('/api/jobs', {
                    body: {
                        id,
                        kind: kind.code,
                        machine,
                        part: part === '' ? kind.name : part,
                        unit: typing,
                    },
                }),
            );
            queries.setQueryData(jobKey(id), await whole(id, state));
            await queries.invalidateQueries({ queryKey: ['bench'] });
            guide.begin(id);
            void navigate(`/job/${id}/take-in`, { state: { fresh: true } });
        } catch (error) {
            setRefused(
                error instanceof Error && error.message !== 'Failed to fetch'
                    ? error.message
                    : 'Not stored yet: the shop can’t be reached. Try again.',
            );
        }
    };
    return (
        <Dialog
            open={open}
            onClose={close}
            maxWidth="lg"
            fullWidth
            fullScreen={small}
            aria-label="What are you making?"
        >
            <Box component="form" onSubmit={(event) => event.preventDefault()} sx={{ display: 'contents' }}>
                <Box sx={{ p: 2, pb: 1.25 }}>
                    <TextField
                        label="What are you making? Type a word: worn hole, stripped thread, taper"
                        value={search}
                        autoFocus
                        onChange={(event) => {
                            setSearch(event.target.value);
                            setChosen(null);
                        }}
                        onKeyDown={onSearchKey}
                        slotProps={{ htmlInput: { autoComplete: 'off' } }}
                    />
                </Box>
                <DialogContent sx={{ pt: 0.5, px: 2, height: { md: 480 } }}>
                    <Box
                        role="radiogroup"
                        aria-label="Kind"
                        onKeyDown={onSheetKey}
                        sx={{
                            display: 'grid',
                            gap: 1,
                            gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 9.875rem), 1fr))',
                        }}
                    >
                        {shown.map((entry) => (
                            <KindCard
                                key={entry.code}
                                kind={entry}
                                chosen={entry === kind}
                                choose={() => {
                                    setChosen(entry.code);
                                    machineField.current?.focus();
                                }}
                            />
                        ))}
                    </Box>
                    {kinds.isSuccess && shown.length === 0 && (
                        <Typography sx={{ mt: 2 }}>
                            Nothing is called that. Try another word, or start with “free form”.
                        </Typography>
                    )}
                </DialogContent>
                <Box
                    sx={{
                        display: 'grid',
                        gap: 1.25,
                        px: 2,
                        pt: 1.5,
                        gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1fr' },
                        borderTop: 1,
                        borderColor: 'divider',
                    }}
                >
                    <Typography
                        variant="body2"
                        role="status"
                        sx={{ gridColumn: { sm: '1 / -1' }, minHeight: 20 }}
                    >
                        {kind ? (
                            <>
                                <b>{kind.name}</b>: {kind.says}
                            </>
                        ) : (
                            ''
                        )}
                    </Typography>
                    <TextField
                        label="Machine"
                        value={machine}
                        inputRef={machineField}
                        onChange={(event) => setMachine(event.target.value)}
                        onKeyDown={(event) => {
                            if (event.key === 'Enter') {
                                event.preventDefault();
                                partField.current?.focus();
                            }
                        }}
                    />
                    <TextField
                        label="Part"
                        value={part}
                        inputRef={partField}
                        placeholder={kind?.name ?? ''}
                        onChange={(event) => setPart(event.target.value)}
                        onKeyDown={(event) => {
                            if (event.key === 'Enter') {
                                event.preventDefault();
                                void start();
                            }
                        }}
                    />
                </Box>
                {refused !== null && (
                    <Alert severity="error" variant="outlined" sx={{ mx: 2, mt: 1.5 }}>
                        {refused}
                    </Alert>
                )}
                <DialogActions sx={{ px: 2, py: 1.5 }}>
                    <Button color="inherit" onClick={close}>
                        Not now
                    </Button>
                    <Button variant="contained" onClick={() => void start()} disabled={!kind}>
                        Start the job
                    </Button>
                </DialogActions>
            </Box>
        </Dialog>
    );
}
