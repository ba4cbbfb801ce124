import Box from '@mui/material/Box';
import TableCell from '@mui/material/TableCell';
import Typography from '@mui/material/Typography';
import { memo } from 'react';

/** A cell that is not being filled: drawn anew only when what stands in it changes. */
export const Cell = memo(function Cell({
    label,
    station,
    angle,
    count,
    value,
    refused,
    decides,
    choose,
}: {
    label: string;
    station: string;
    angle: string;
    /** How often it was read there. */
    count: number;
    value: string;
    refused: boolean;
    /** It is tightest or loosest here. */
    decides: boolean;
    choose: (station: string, angle: string) => void;
}) {
    return (
        <TableCell sx={{ p: 0 }}>
            <Box
                component="button"
                type="button"
                onClick={() => choose(station, angle)}
                onFocus={(event: React.FocusEvent) =>
                    event.currentTarget.matches(':focus-visible') && choose(station, angle)
                }
                aria-label={`${label}: ${value === '' ? 'empty' : value}${decides ? ', decides' : ''}`}
                sx={{
                    all: 'unset',
                    boxSizing: 'border-box',
                    width: 1,
                    minHeight: 46,
                    px: 1.5,
                    py: 1,
                    cursor: 'text',
                    display: 'block',
                    boxShadow: decides ? (theme) => `inset 4px 0 0 ${theme.palette.found.main}` : 'none',
                }}
            >
                {value === '' ? (
                    <Typography component="span" color="textSecondary" aria-hidden>
                        · · · ·
                    </Typography>
                ) : (
                    <Typography
                        variant="size"
                        sx={{
                            fontWeight: 450,
                            color: refused ? 'error.main' : 'inherit',
                        }}
                    >
                        {value}
                    </Typography>
                )}
                {count > 1 && (
                    <Typography component="span" variant="body2" color="textSecondary">
                        {' '}
                        ×{count}
                    </Typography>
                )}
            </Box>
        </TableCell>
    );
});
