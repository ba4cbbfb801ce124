import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState, type KeyboardEvent, type MouseEvent } from 'react';
import type { Photo } from '../../api/types';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { PictureSizes } from './PictureSizes';

const STEP = 0.02;

/** A photograph at full size; a tap pins the chosen surface where it is seen, arrow keys move the pin. */
export function PhotoDialog({ photo, close }: { photo: Photo; close: () => void }) {
    const { facts, save } = useJob();
    const [sizing, setSizing] = useState(false);
    const surface = facts.surfaces.find((s) => s.id === photo.surface);
    const store = (changes: Partial<Photo>) => save('photos', photo.id, changes);
    const pin = (x: number, y: number) =>
        void store({ x: Math.min(1, Math.max(0, x)), y: Math.min(1, Math.max(0, y)) });
    const tap = (event: MouseEvent<HTMLElement>) => {
        const box = event.currentTarget.getBoundingClientRect();
        pin((event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
    };
    const key = (event: KeyboardEvent) => {
        const by = {
            ArrowLeft: [-STEP, 0],
            ArrowRight: [STEP, 0],
            ArrowUp: [0, -STEP],
            ArrowDown: [0, STEP],
        }[event.key];
        if (by) {
            event.preventDefault();
            pin((photo.x ?? 0.5) + (by[0] ?? 0), (photo.y ?? 0.5) + (by[1] ?? 0));
        }
    };
    if (sizing) {
        return <PictureSizes photo={photo} close={() => setSizing(false)} />;
    }
    return (
        <Dialog open onClose={close} maxWidth="lg" fullWidth aria-label="Photograph">
            <DialogContent sx={{ p: 1.5 }}>
                <Box
                    onClick={tap}
                    onKeyDown={key}
                    tabIndex={0}
                    role="application"
                    aria-label={`Photograph. Arrow keys move the pin${surface ? ` of ${surface.name}` : ''}.`}
                    sx={{ position: 'relative', width: 'fit-content', mx: 'auto', cursor: 'crosshair' }}
                >
                    <Box
                        component="img"
                        src={`/api/jobs/${facts.id}/pictures/${photo.id}`}
                        width={photo.width}
                        height={photo.height}
                        alt={photo.note === '' ? (surface?.name ?? 'Photograph') : photo.note}
                        sx={{
                            display: 'block',
                            maxWidth: 1,
                            maxHeight: '62dvh',
                            width: 'auto',
                            height: 'auto',
                        }}
                    />
                    {photo.x !== null && photo.y !== null && (
                        <Box
                            sx={{
                                position: 'absolute',
                                left: `${photo.x * 100}%`,
                                top: `${photo.y * 100}%`,
                                transform: 'translate(-11px, -11px)',
                                display: 'flex',
                                alignItems: 'center',
                                gap: 0.75,
                                pointerEvents: 'none',
                            }}
                        >
                            <Box
                                sx={{
                                    width: 22,
                                    height: 22,
                                    border: 4,
                                    borderColor: 'overlap.main',
                                    borderRadius: '50%',
                                    bgcolor: 'background.paper',
                                }}
                            />
                            <Typography
                                variant="body2"
                                sx={{ bgcolor: 'background.paper', px: 0.75, fontWeight: 700 }}
                            >
                                {surface?.name ?? 'here'}
                            </Typography>
                        </Box>
                    )}
                </Box>
                <Box
                    sx={{
                        display: 'grid',
                        gap: 1.5,
                        mt: 2,
                        gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1.6fr' },
                        alignItems: 'start',
                    }}
                >
                    <TextField
                        select
                        label="Shows"
                        value={photo.surface ?? ''}
                        helperText="then tap where it is"
                        onChange={(event) =>
                            void store({ surface: event.target.value === '' ? null : event.target.value })
                        }
                    >
                        <MenuItem value="">no one surface</MenuItem>
                        {facts.surfaces.map((s) => (
                            <MenuItem key={s.id} value={s.id}>
                                {s.name}
                            </MenuItem>
                        ))}
                    </TextField>
                    <TextFact label="Note" value={photo.note} store={(note) => store({ note })} />
                </Box>
            </DialogContent>
            <DialogActions>
                <Button
                    color="inherit"
                    onClick={() => {
                        close();
                        void save('photos', photo.id, null);
                    }}
                >
                    Remove it
                </Button>
                <Button variant="outlined" color="inherit" onClick={() => setSizing(true)}>
                    Take sizes from it
                </Button>
                <Button variant="outlined" color="inherit" onClick={close}>
                    Close
                </Button>
            </DialogActions>
        </Dialog>
    );
}
