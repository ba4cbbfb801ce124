import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useGlossary } from '../api/queries';
import { spoken } from '../speak/language';

/** All words of the glossary, found as one types. */
export function WordsDialog({ word, close }: { word: string; close: () => void }) {
    const words = useGlossary().data ?? [];
    const [sought, setSought] = useState(word);
    const found = words.filter((one) =>
        [one.word, ...one.also].some((way) =>
            `${way} ${spoken(way)}`.toLowerCase().includes(sought.trim().toLowerCase()),
        ),
    );
    return (
        <Dialog open onClose={close} fullWidth maxWidth="sm">
            <DialogTitle>What words mean</DialogTitle>
            <DialogContent sx={{ minHeight: 420 }}>
                <TextField
                    autoFocus
                    label="Find a word"
                    value={sought}
                    onChange={(event) => setSought(event.target.value)}
                    sx={{ mt: 1, mb: 2 }}
                />
                <Box component="dl" sx={{ m: 0 }}>
                    {found.map((one) => (
                        <Box key={one.word} sx={{ mb: 1.5 }}>
                            <Typography component="dt" variant="label">
                                {one.word}
                            </Typography>
                            <Typography component="dd" variant="body2" sx={{ m: 0 }}>
                                {one.says}
                            </Typography>
                        </Box>
                    ))}
                </Box>
                {found.length === 0 && <Typography>There is no such word here.</Typography>}
            </DialogContent>
        </Dialog>
    );
}
