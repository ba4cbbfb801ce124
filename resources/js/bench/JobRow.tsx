import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { client, newId, orRefuse, outlives } from '../api/client';
import { whole } from '../api/held';
import { jobKey } from '../api/queries';
import type { BenchRow, Shelf } from '../api/types';
import { day, moment } from '../entry/day';
import { countdown, useNow } from '../entry/useNow';
import { DrawingView } from '../pictures/DrawingView';
import { useSettings } from '../shell/settings';
import { STAGES } from '../shell/stages';

const ELSEWHERE: { to: Shelf; says: string }[] = [
    { to: 'bench', says: 'Put it on the bench' },
    { to: 'archive', says: 'Put it in the archive' },
    { to: 'bin', says: 'Put it in the bin' },
];

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
                    xs: '76px 1fr 48px',
                    sm: '88px minmax(200px, 1fr) minmax(220px, 1.1fr) 130px 48px',
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
            <RowMenu row={row} name={name} shelf={shelf} move={move} />
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

function RowMenu({
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
    const navigate = useNavigate();
    const queries = useQueryClient();
    const [anchor, setAnchor] = useState<HTMLElement | null>(null);
    const [id] = useState(newId);
    const copy = async () => {
        setAnchor(null);
        const state = orRefuse(
            await client.POST('/api/jobs/{job}/copy', {
                ...outlives,
                params: { path: { job: row.id } },
                body: { id },
            }),
        );
        queries.setQueryData(jobKey(id), await whole(id, state));
        await queries.invalidateQueries({ queryKey: ['bench'] });
        void navigate(`/job/${id}/take-in`);
    };
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
            <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
                <MenuItem onClick={() => void copy()}>Start another like it</MenuItem>
                {ELSEWHERE.filter(({ to }) => to !== shelf).map(({ to, says }) => (
                    <MenuItem
                        key={to}
                        onClick={() => {
                            setAnchor(null);
                            move(row.id, to);
                        }}
                    >
                        {says}
                    </MenuItem>
                ))}
            </Menu>
        </Box>
    );
}
