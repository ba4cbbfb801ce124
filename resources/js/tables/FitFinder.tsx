import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useState } from 'react';
import { useFitWish } from '../api/queries';
import { Notes } from '../shell/Notes';
import { useSettings } from '../shell/settings';
import { FitButton } from './FitButton';
import type { Place } from './FitExplorer';

/** Found by its result: what it has to give, said in words. */
export function FitFinder({ go }: { go: (to: Partial<Place>) => void }) {
    const { typing, say } = useSettings();
    const [text, setText] = useState('');
    const wish = useFitWish(useDeferredValue(text), typing);
    const found = text.trim() === '' ? undefined : wish.data;
    return (
        <Box component="section" aria-label="Find by what it gives">
            <Typography variant="h2" sx={{ mb: 1 }}>
                Find by what it gives
            </Typography>
            <TextField
                label="How tight, at what size?"
                value={text}
                onChange={(event) => setText(event.target.value)}
                error={text.trim() !== '' && wish.isError}
                helperText={
                    text.trim() !== '' && wish.isError
                        ? wish.error.message
                        : '0.01 to 0.03 mm tight at 40 mm · 1 thou tight to 1 thou clear at 1-1/4'
                }
                slotProps={{ htmlInput: { autoComplete: 'off' } }}
            />
            {found && (
                <Box sx={{ mt: 1 }}>
                    <Typography variant="body2" color="textSecondary">
                        {say(found.asked)}
                    </Typography>
                    <Notes notes={found.notes} />
                    <Box sx={{ display: 'grid', gap: 0.75, mt: 0.75 }}>
                        {found.fits.map((row) => (
                            <FitButton
                                key={row.label}
                                row={row}
                                chosen={false}
                                take={() =>
                                    go({
                                        size: String(Number(found.size_mm.toFixed(6))),
                                        unit: 'mm',
                                        fit: row.label,
                                    })
                                }
                            />
                        ))}
                    </Box>
                </Box>
            )}
        </Box>
    );
}
