import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useState } from 'react';
import { useBearing } from '../api/queries';
import { Framed } from '../pictures/Framed';
import { Notes } from '../shell/Notes';
import { useSettings } from '../shell/settings';

/** Which bearing was this? By its stamp, or by any of bore, outside and width as measured. */
export function BearingFinder() {
    const { typing, say } = useSettings();
    const [stamp, setStamp] = useState('');
    const [sizes, setSizes] = useState(['', '', '']);
    const found = useBearing(useDeferredValue(stamp), useDeferredValue(sizes), typing);
    const asked = stamp.trim() !== '' || sizes.some((size) => size.trim() !== '');
    return (
        <Box component="section" aria-label="Which bearing was this">
            <Typography variant="h2" sx={{ mb: 1 }}>
                Which bearing was this?
            </Typography>
            <Box sx={{ display: 'grid', gap: 1.25, gridTemplateColumns: '1fr 1fr 1fr' }}>
                <TextField
                    label="Stamped"
                    value={stamp}
                    onChange={(event) => setStamp(event.target.value)}
                    sx={{ gridColumn: '1 / -1' }}
                />
                {['Bore', 'Outside', 'Width'].map((label, i) => (
                    <TextField
                        key={label}
                        label={label}
                        helperText={typing}
                        value={sizes[i]}
                        disabled={stamp.trim() !== ''}
                        onChange={(event) =>
                            setSizes(sizes.map((s, k) => (k === i ? event.target.value : s)))
                        }
                    />
                ))}
            </Box>
            {asked && found.isError && (
                <Typography color="error" role="alert" sx={{ mt: 1 }}>
                    {found.error.message}
                </Typography>
            )}
            {asked && found.data && (
                <Box sx={{ mt: 1 }}>
                    <Notes notes={found.data.notes} />
                    <Framed pad={0}>
                        {found.data.bearings.map((bearing) => (
                            <Box
                                key={bearing.designation}
                                sx={{ px: 1.25, py: 0.75, borderBottom: 1, borderColor: 'divider' }}
                            >
                                <Typography>
                                    <b>{bearing.designation}</b> {say(bearing.sizes)}
                                </Typography>
                                {bearing.shoulder && (
                                    <Typography variant="body2" color="textSecondary">
                                        {say(bearing.shoulder)}
                                    </Typography>
                                )}
                            </Box>
                        ))}
                    </Framed>
                </Box>
            )}
        </Box>
    );
}
