import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { client, newId, orRefuse, refusal } from '../../api/client';
import { whole } from '../../api/held';
import { jobKey } from '../../api/queries';
import type { Surface, TableLook } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';

/** Readings from a table: a file or pasted text, its columns chosen, bad rows named by their line; all or none. */
export function TableDialog({
    surface,
    instrument,
    close,
}: {
    surface: Surface;
    instrument: string;
    close: () => void;
}) {
    const { facts, state } = useJob();
    const { typing } = useSettings();
    const queries = useQueryClient();
    const file = useRef<HTMLInputElement>(null);
    const [text, setText] = useState('');
    const [columns, setColumns] = useState<string[] | null>(null);
    const [look, setLook] = useState<TableLook | null>(null);
    const [refused, setRefused] = useState<string | null>(null);
    const body = { text, unit: typing, instrument, surface: surface.id };
    useEffect(() => {
        if (text.trim() === '') {
            return;
        }
        const abort = new AbortController();
        client
            .POST('/api/jobs/{job}/readings-table/look', {
                params: { path: { job: facts.id } },
                body: {
                    text,
                    unit: typing,
                    instrument,
                    surface: surface.id,
                    ...(columns === null ? {} : { columns }),
                },
                signal: abort.signal,
            })
            .then((answer) => {
                if (!abort.signal.aborted) {
                    setLook(answer.data ?? null);
                    setRefused(answer.error === undefined ? null : refusal(answer.error).message);
                }
            })
            .catch(() => undefined);
        return () => abort.abort();
    }, [text, columns, typing, instrument, surface.id, facts.id]);
    const chosen = columns ?? (look?.columns ?? []).map((c) => c ?? '');
    const bring = async () => {
        try {
            const after = orRefuse(
                await client.POST('/api/jobs/{job}/readings-table', {
                    params: { path: { job: facts.id } },
                    body: { ...body, columns: chosen, version: state.version, request: newId() },
                }),
            );
            queries.setQueryData(jobKey(facts.id), await whole(facts.id, after));
            close();
        } catch (error) {
            setRefused(error instanceof Error ? error.message : 'Not taken in. Try again.');
        }
    };
    const ready =
        look !== null && text.trim() !== '' && chosen.includes('value') && look.refused.length === 0;
    return (
        <Dialog open onClose={close} fullWidth maxWidth="md" aria-labelledby="table-title">
            <DialogTitle id="table-title">Bring in a table of readings</DialogTitle>
            <DialogContent>
                <input
                    ref={file}
                    type="file"
                    accept=".csv,.txt,text/csv,text/plain"
                    hidden
                    aria-label="Table file"
                    onChange={(event) => {
                        void event.target.files?.[0]?.text().then((read) => {
                            setText(read);
                            setColumns(null);
                        });
                        event.target.value = '';
                    }}
                />
                <Button variant="outlined" color="inherit" onClick={() => file.current?.click()}>
                    Choose a file
                </Button>
                <TextField
                    label="or paste it here, its first line naming the columns; a column of surfaces brings in the whole job"
                    value={text}
                    multiline
                    minRows={4}
                    maxRows={8}
                    onChange={(event) => {
                        setText(event.target.value);
                        setColumns(null);
                    }}
                    sx={{ mt: 2 }}
                />
                {look !== null && text.trim() !== '' && (
                    <>
                        <Box
                            sx={{
                                display: 'grid',
                                gap: 1.25,
                                mt: 2,
                                gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 9.375rem), 1fr))',
                            }}
                        >
                            {look.heading.map((title, i) => (
                                <TextField
                                    key={`${i}${title}`}
                                    select
                                    label={title === '' ? `column ${i + 1}` : title}
                                    value={chosen[i] ?? ''}
                                    onChange={(event) =>
                                        setColumns(
                                            look.heading.map((_, k) =>
                                                k === i ? event.target.value : (chosen[k] ?? ''),
                                            ),
                                        )
                                    }
                                >
                                    <MenuItem value="">left out</MenuItem>
                                    {look.fields.map((field) => (
                                        <MenuItem key={field} value={field}>
                                            {field}
                                        </MenuItem>
                                    ))}
                                </TextField>
                            ))}
                        </Box>
                        {look.refused.map((row) => (
                            <Typography key={row.line} color="error" role="alert" sx={{ mt: 1 }}>
                                Line {row.line}: {row.says}
                            </Typography>
                        ))}
                        <Box sx={{ mt: 1.5 }}>
                            {look.shown.slice(0, 8).map((row) => (
                                <Typography key={row.line} variant="body2">
                                    <b>{row.surface}</b>, {row.says}
                                </Typography>
                            ))}
                            {look.count > 8 && (
                                <Typography variant="body2" color="textSecondary">
                                    and {look.count - 8} more
                                </Typography>
                            )}
                        </Box>
                    </>
                )}
                {refused !== null && text.trim() !== '' && (
                    <Typography color="error" role="alert" sx={{ mt: 1 }}>
                        {refused}
                    </Typography>
                )}
            </DialogContent>
            <DialogActions>
                <Button color="inherit" onClick={close}>
                    Not now
                </Button>
                <Button variant="contained" disabled={!ready} onClick={() => void bring()}>
                    Bring in {ready ? look.count : ''} readings
                </Button>
            </DialogActions>
        </Dialog>
    );
}
