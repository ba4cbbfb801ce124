import { LinkButton } from '../../shell/LinkButton';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Reading } from '../../api/types';
import { typedText } from '../../entry/typed';
import { useJob } from '../../job/JobContext';
import { mono } from '../../theme/theme';

/** What was read at this spot: repeats, what a number was before it was changed, what was set aside and why. */
export function SpotReadings({ readings, spot }: { readings: Reading[]; spot: string }) {
    const [asking, setAsking] = useState<string | null>(null);
    const [reason, setReason] = useState('');
    const { save } = useJob();
    const worth = readings.length > 0;
    return (
        <Box
            sx={{ minHeight: 44, display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}
            aria-label={`Readings at ${spot}`}
            role="group"
        >
            {worth &&
                readings.map((reading) => (
                    <Box key={reading.id} sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
                        {reading.was !== null && (
                            <Typography
                                component="s"
                                variant="body2"
                                color="textSecondary"
                                sx={{ fontFamily: mono }}
                            >
                                {reading.was.typed}
                            </Typography>
                        )}
                        <Typography
                            component={reading.set_aside === null ? 'span' : 's'}
                            variant="body2"
                            sx={{ fontFamily: mono, fontWeight: 700 }}
                        >
                            {typedText(reading.value, reading.value.unit === 'in' ? 'mm' : 'in')}
                        </Typography>
                        {reading.by != null && (
                            <Typography variant="body2" color="textSecondary">
                                {reading.by}
                            </Typography>
                        )}
                        <Worn reading={reading} />
                        {reading.set_aside === null ? (
                            <LinkButton
                                size="small"

                                onClick={() => setAsking(reading.id)}
                            >
                                Set aside
                            </LinkButton>
                        ) : (
                            <>
                                <Typography variant="body2" color="textSecondary">
                                    {reading.set_aside}
                                </Typography>
                                <LinkButton
                                    size="small"

                                    onClick={() => void save('readings', reading.id, { set_aside: null })}
                                >
                                    Take it back
                                </LinkButton>
                            </>
                        )}
                    </Box>
                ))}
            {asking !== null && (
                <Box
                    component="form"
                    sx={{ display: 'flex', gap: 1 }}
                    onSubmit={(event) => {
                        event.preventDefault();
                        void save('readings', asking, {
                            set_aside: reason.trim() === '' ? 'no reason given' : reason.trim(),
                        }).then(() => {
                            setAsking(null);
                            setReason('');
                        });
                    }}
                >
                    <TextField
                        label="Why is it set aside?"
                        value={reason}
                        autoFocus
                        onChange={(event) => setReason(event.target.value)}
                        sx={{ width: 240 }}
                    />
                    <Button type="submit" variant="outlined">
                        Set it aside
                    </Button>
                    <Button color="inherit" onClick={() => setAsking(null)}>
                        Keep it
                    </Button>
                </Box>
            )}
        </Box>
    );
}

const WORN: Record<string, boolean | null> = { worn: true, unworn: false, 'not said': null };

/** Whether the spot is worn: unworn readings tell what the size was, the difference is the wear. */
function Worn({ reading }: { reading: Reading }) {
    const { save } = useJob();
    const now = reading.worn === null ? 'not said' : reading.worn ? 'worn' : 'unworn';
    const names = Object.keys(WORN);
    const next = names[(names.indexOf(now) + 1) % names.length] ?? 'not said';
    return (
        <LinkButton
            size="small"

            aria-label={`Wear at this spot: ${now}. Change to ${next}`}

            onClick={() => void save('readings', reading.id, { worn: WORN[next] ?? null })}
        >
            Wear at this spot: {now}
        </LinkButton>
    );
}
