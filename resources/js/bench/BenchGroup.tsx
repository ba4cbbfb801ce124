import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { BenchRow, Shelf } from '../api/types';
import { JobRow } from './JobRow';

export function Group({
    title,
    rows,
    count,
    shelf,
    move,
}: {
    title: string;
    rows: BenchRow[];
    count: number;
    shelf: Shelf;
    move: (id: string, to: Shelf) => void;
}) {
    if (rows.length === 0) {
        return null;
    }
    return (
        <Box component="section" aria-label={title === '' ? 'Jobs' : title} sx={{ mb: 2.5 }}>
            {title !== '' && (
                <Typography variant="h2" sx={{ pl: 1.25, pb: 1, borderBottom: 1, borderColor: 'divider' }}>
                    {title}
                </Typography>
            )}
            {rows.map((row) => (
                <JobRow key={row.id} row={row} shelf={shelf} move={move} />
            ))}
            {count > rows.length && (
                <Typography variant="body2" color="textSecondary" sx={{ p: 1.25 }}>
                    and {count - rows.length} more: find them with /
                </Typography>
            )}
        </Box>
    );
}
