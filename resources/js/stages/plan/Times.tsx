import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useJob } from '../../job/JobContext';
import { useNow } from '../../entry/useNow';

/** How long each piece of work takes, beside what was quoted: started and stopped with one tap. */
export function Times() {
    const { answers, save } = useJob();
    const { rows, says } = answers.quote.times;
    const now = useNow(rows.some((row) => row.running_since !== null));
    if (rows.length === 0) {
        return null;
    }
    const since = (from: string, until = now) => Math.max(0, (until - Date.parse(from)) / 60000);
    return (
        <Box component="section" aria-label="Time" sx={{ mt: 3 }}>
            <Typography variant="h2" sx={{ mb: 0.5 }}>
                Time
            </Typography>
            {says !== null && <Typography sx={{ mb: 0.75 }}>{says}</Typography>}
            {rows.map((row) => (
                <Box
                    key={row.operation}
                    sx={{
                        display: 'grid',
                        gridTemplateColumns: {
                            xs: 'minmax(0, 1fr) 6.875rem',
                            sm: '1fr 9.375rem 10.625rem 6.875rem',
                        },
                        columnGap: 1.5,
                        alignItems: 'center',
                        borderTop: 1,
                        borderColor: 'divider',
                        py: 0.5,
                    }}
                >
                    <Typography sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}>{row.name}</Typography>
                    <Typography color="textSecondary">quoted {row.quoted}</Typography>
                    <Typography
                        sx={{
                            fontWeight: 650,
                            gridColumn: { xs: 1, sm: 'auto' },
                            gridRow: { xs: 3, sm: 'auto' },
                        }}
                    >
                        {row.running_since !== null
                            ? `running, ${((row.spent_min ?? 0) + since(row.running_since)).toFixed(0)} min`
                            : row.took !== null && `took ${row.took}`}
                    </Typography>
                    <Button
                        variant={row.running_since === null ? 'outlined' : 'contained'}
                        color={row.running_since === null ? 'inherit' : 'primary'}
                        aria-label={`${row.running_since === null ? 'Start' : 'Stop'}: ${row.name}`}
                        onClick={() =>
                            void save(
                                'operations',
                                row.operation,
                                row.running_since === null
                                    ? { running_since: new Date().toISOString() }
                                    : {
                                          spent_min:
                                              (row.spent_min ?? 0) + since(row.running_since, Date.now()),
                                          running_since: null,
                                      },
                            )
                        }
                    >
                        {row.running_since === null ? 'Start' : 'Stop'}
                    </Button>
                </Box>
            ))}
        </Box>
    );
}
