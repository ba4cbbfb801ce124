import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import type { Photo } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { PhotoDialog } from './PhotoDialog';

/** Photographs of the parts, each to be pinned to the surface it shows. */
export function Photos() {
    const { facts, saver } = useJob();
    const file = useRef<HTMLInputElement>(null);
    const [sending, setSending] = useState(0);
    const [refused, setRefused] = useState<string[]>([]);
    const [open, setOpen] = useState<string | null>(null);
    const photo = facts.photos.find((p) => p.id === open);
    const send = async (files: File[]) => {
        setRefused([]);
        for (const [i, picture] of files.entries()) {
            setSending(files.length - i);
            try {
                await saver.addPhoto(facts.id, picture, null);
            } catch (error) {
                const says =
                    error instanceof Error && error.message !== 'Failed to fetch'
                        ? error.message
                        : 'Not sent: the shop can’t be reached. Choose it again.';
                setRefused((now) => [...now, `${picture.name}: ${says}`]);
            }
        }
        setSending(0);
    };
    return (
        <Box component="section" aria-label="Photographs" sx={{ mt: 2.5 }}>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25, mb: 1.25 }}>
                <Typography variant="h2" sx={{ flex: 1 }}>
                    Photographs
                </Typography>
                <input
                    ref={file}
                    type="file"
                    accept="image/jpeg,image/png,image/webp"
                    multiple
                    hidden
                    aria-label="Photographs to add"
                    onChange={(event) => {
                        void send(Array.from(event.target.files ?? []));
                        event.target.value = '';
                    }}
                />
                <Button
                    variant="outlined"
                    color="inherit"
                    onClick={() => file.current?.click()}
                    disabled={sending > 0}
                    sx={{ overflowWrap: 'anywhere' }}
                >
                    Take or choose photographs
                </Button>
            </Box>
            {sending > 0 && <LinearProgress aria-label={`${sending} to send`} sx={{ mb: 1 }} />}
            {refused.map((says) => (
                <Typography key={says} color="error" role="alert" sx={{ mb: 1 }}>
                    {says}
                </Typography>
            ))}
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.25,
                    gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 11.25rem), 1fr))',
                }}
            >
                {facts.photos.map((p) => (
                    <Thumb key={p.id} photo={p} open={() => setOpen(p.id)} />
                ))}
            </Box>
            {facts.photos.length === 0 && sending === 0 && (
                <Typography variant="body2" color="textSecondary">
                    None yet. Take one before anything comes apart.
                </Typography>
            )}
            {photo && <PhotoDialog photo={photo} close={() => setOpen(null)} />}
        </Box>
    );
}

function Thumb({ photo, open }: { photo: Photo; open: () => void }) {
    const [missing, setMissing] = useState(false);
    const { facts } = useJob();
    const surface = facts.surfaces.find((s) => s.id === photo.surface);
    const says = photo.note !== '' ? photo.note : (surface?.name ?? 'Photograph');
    return (
        <ButtonBase
            onClick={open}
            aria-label={`Open photograph: ${says}`}
            sx={{
                border: 1,
                borderColor: 'strong.main',
                bgcolor: 'background.paper',
                flexDirection: 'column',
                alignItems: 'stretch',
                textAlign: 'left',
            }}
        >
            {missing ? (
                <Typography variant="body2" color="textSecondary" sx={{ p: 1, aspectRatio: '4 / 3' }}>
                    The picture is not in this shop.
                </Typography>
            ) : (
                <Box
                    component="img"
                    src={`/api/jobs/${facts.id}/pictures/${photo.id}?small=1`}
                    alt=""
                    onError={() => setMissing(true)}
                    sx={{ width: 1, aspectRatio: '4 / 3', objectFit: 'cover' }}
                />
            )}
            <Typography variant="body2" sx={{ p: 0.75, minHeight: 34 }}>
                {surface && photo.note !== '' ? <b>{surface.name}: </b> : ''}
                {says}
            </Typography>
        </ButtonBase>
    );
}
