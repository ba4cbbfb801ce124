import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Suspense, useState } from 'react';
import { Link } from '../shell/router';
import type { BenchRow, Shelf } from '../api/types';
import { day, moment } from '../entry/day';
import { countdown, useNow } from '../entry/useNow';
import { DrawingView } from '../pictures/DrawingView';
import { later } from '../shell/later';
import { useSettings } from '../shell/settings';
import { STAGES } from '../shell/stages';

const RowMenu = later(async () => (await import('./RowMenu')).RowMenu);

/** A job: its little picture, its machine, and the next step in words. */
export function JobRow({
    row,
    shelf,
    move,
}: {
    row: BenchRow;
    shelf: Shelf;
    move: (id: string, to: Shelf) => void;
}) {
    const { say } = useSettings();
    const name = row.machine === '' ? 'New job' : row.machine;
    return (
        <Box
            sx={{
                position: 'relative',
                display: 'grid',
                gridTemplateColumns: {
                    xs: '4.75rem minmax(0, 1fr) 3rem',
                    sm: '5.5rem minmax(12.5rem, 1fr) minmax(13.75rem, 1.1fr) 8.125rem 3rem',
                },
                columnGap: 2,
                alignItems: 'center',
                py: 1,
                px: 1.25,
                borderBottom: 1,
                borderColor: 'divider',
                '&:hover': { bgcolor: 'action.hover' },
            }}
        >
            <Box sx={{ width: 80 }}>
                {row.thumb && <DrawingView drawing={row.thumb} maxWidth={80} quiet />}
            </Box>
            <Box sx={{ minWidth: 0 }}>
                <Typography variant="said" sx={{ fontWeight: 700 }}>
                    <Box
                        component={Link}
                        to={`/job/${row.id}/${row.next.stage}${row.next.target === null ? '' : `?at=${row.next.target}`}`}
                        sx={{
                            color: 'inherit',
                            textDecoration: 'none',
                            // The whole row is the link.
                            '&::after': { content: '""', position: 'absolute', inset: 0 },
                        }}
                    >
                        {name}
                    </Box>
                </Typography>
                <Typography variant="body2" color="textSecondary">
                    {row.part}, {row.quantity} off
                    {row.wanted_by !== null && row.state !== 'done'
                        ? ` · wanted by ${day(row.wanted_by)}`
                        : ''}
                </Typography>
            </Box>
            <Box sx={{ gridColumn: { xs: '2', sm: 'auto' } }}>
                {row.waits !== null && row.state === 'waits' ? (
                    <Typography variant="said">
                        Waits for {row.waits.for}
                        {row.waits.until === null ? '' : ` until ${moment(row.waits.until)}`}
                        {row.waits.note === '' ? '' : `: ${row.waits.note}`}
                    </Typography>
                ) : (
                    <Typography variant="said">{say(row.next.says)}</Typography>
                )}
                <Cooling row={row} />
                {row.withheld && (
                    <Typography variant="body2" color="overlap">
                        <b>Stop:</b> for licensed practice, nobody has accepted it yet
                    </Typography>
                )}
            </Box>
            <Box sx={{ gridColumn: { xs: '2', sm: 'auto' } }}>
                <Box
                    component="span"
                    sx={{
                        border: 1,
                        borderRadius: 0.25,
                        px: 1,
                        py: 0.25,
                        typography: 'body2',
                        display: 'inline-block',
                    }}
                >
                    {row.declined ? 'Declined' : STAGES.find((stage) => stage.code === row.next.stage)?.name}
                </Box>
                {row.state !== 'done' && row.open > 0 && (
                    <Typography variant="body2" color="textSecondary" sx={{ mt: 0.25 }}>
                        {row.open} open
                    </Typography>
                )}
            </Box>
            <More row={row} name={name} shelf={shelf} move={move} />
        </Box>
    );
}

/** A part that was read warm, while it is still warm. */
function Cooling({ row }: { row: BenchRow }) {
    const until = row.cooling === null ? 0 : new Date(row.cooling.until).getTime();
    const left = (until - useNow(row.cooling !== null)) / 1000;
    return row.cooling === null || left <= 0 ? null : (
        <Typography variant="body2" color="found">
            {row.cooling.name} cools: ready in {countdown(left)}
        </Typography>
    );
}

function More({
    row,
    name,
    shelf,
    move,
}: {
    row: BenchRow;
    name: string;
    shelf: Shelf;
    move: (id: string, to: Shelf) => void;
}) {
    const [anchor, setAnchor] = useState<HTMLElement | null>(null);
    return (
        <Box sx={{ gridColumn: { xs: '3', sm: 'auto' }, gridRow: { xs: '1', sm: 'auto' }, zIndex: 1 }}>
            <Button
                color="inherit"
                aria-label={`More for ${name}`}
                aria-haspopup="menu"
                onClick={(event) => setAnchor(event.currentTarget)}
                sx={{ minWidth: 44, px: 0, typography: 'outcome' }}
            >
                ⋯
            </Button>
            <Suspense>
                {anchor && (
                    <RowMenu
                        job={row.id}
                        anchor={anchor}
                        close={() => setAnchor(null)}
                        shelf={shelf}
                        move={move}
                    />
                )}
            </Suspense>
        </Box>
    );
}
