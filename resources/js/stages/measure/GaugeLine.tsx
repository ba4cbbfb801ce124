import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useGauge, useGauges } from '../../api/queries';
import type { GaugeReading } from '../../api/types';
import { useKey } from '../../shell/keys';
import { useSettings } from '../../shell/settings';
import { SerialGauge } from './SerialGauge';
import { serial, SERIAL } from './useSerial';

interface Props {
    /** Code of the gauge in use; empty for none. */
    gauge: string;
    use: (gauge: string) => void;
    kind: string;
    /** Where it is held: 0 to 1 along, degrees round. A simulated part has to be told. */
    held: { along: number; angle: number };
    take: (reading: GaugeReading) => void;
}

/** Which gauge is live, its reading in big digits, and Take. */
export function GaugeLine({ gauge, use, kind, held, take }: Props) {
    const gauges = useGauges();
    const { say } = useSettings();
    const reading = useGauge(gauge === SERIAL ? '' : gauge, held);
    const live = gauge !== '' && reading.data !== undefined && !reading.isError;
    const now = live ? reading.data : undefined;
    const takeNow = () => now && take(now);
    useKey('t', takeNow);
    const fits = (gauges.data ?? []).filter((g) => g.kind === kind || g.kind === 'temperature');
    return (
        <Box
            component="section"
            aria-label="Gauge line"
            sx={{
                position: { xs: 'static', sm: 'sticky' },
                bottom: -14,
                mx: { xs: -1.5, md: -2.25 },
                mb: -1.75,
                mt: 2,
                px: { xs: 1.5, md: 2.25 },
                py: 1,
                display: 'flex',
                alignItems: 'center',
                gap: 2,
                flexWrap: 'wrap',
                borderTop: 1,
                borderColor: 'strong.main',
                bgcolor: 'background.paper',
                zIndex: 2,
            }}
        >
            <TextField
                select
                label="Gauge"
                value={gauge === SERIAL || fits.some((g) => g.code === gauge) ? gauge : ''}
                onChange={(event) => use(event.target.value)}
                sx={{ width: 300 }}
            >
                <MenuItem value="">none: type the readings</MenuItem>
                {fits.map((g) => (
                    <MenuItem key={g.code} value={g.code}>
                        {g.name}
                    </MenuItem>
                ))}
                {serial() && <MenuItem value={SERIAL}>my own, on a serial line</MenuItem>}
            </TextField>
            {gauge === SERIAL && <SerialGauge take={take} />}
            {gauge !== '' && gauge !== SERIAL && (
                <>
                    <Typography
                        variant="hugeSize"
                        component="output"
                        aria-label="Gauge reading"
                        color={now ? 'found' : 'textSecondary'}
                        sx={{ minWidth: 230 }}
                    >
                        {now?.shown
                            ? say(now.shown).split(' · ')[0]
                            : now?.celsius != null
                              ? `${now.celsius.toFixed(1)} °C`
                              : '– – –'}
                    </Typography>
                    <Button
                        variant="contained"
                        size="large"
                        disabled={!now}
                        aria-keyshortcuts="t"
                        // The cell keeps the focus: what was typed in it stays.
                        onPointerDown={(event) => event.preventDefault()}
                        onMouseDown={(event) => event.preventDefault()}
                        onClick={takeNow}
                    >
                        Take&nbsp;<b>T</b>
                    </Button>
                    {reading.isError && (
                        <Typography role="alert" color="error">
                            {reading.error.message}
                        </Typography>
                    )}
                </>
            )}
        </Box>
    );
}
