import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { client, orRefuse, Refused } from '../api/client';
import { useBench, useShop } from '../api/queries';
import type { BenchRow, JobFacts } from '../api/types';
import { Frame } from '../shell/Frame';
import { useSettings } from '../shell/settings';
import { STAGES } from '../shell/stages';
import { BenchStrip } from './BenchStrip';
import { KindPicture } from './KindPicture';
import { NewJob } from './NewJob';

/** Home: every job as a row, what can be done now first, with its next step in words. */
export function Bench() {
    const bench = useBench();
    const shop = useShop();
    const navigate = useNavigate();
    const queries = useQueryClient();
    const file = useRef<HTMLInputElement>(null);
    const [starting, setStarting] = useState(false);
    const [refused, setRefused] = useState<string | null>(null);
    const rows = bench.data ?? [];
    const now = rows.filter((row) => row.state === 'now');
    const done = rows.filter((row) => row.state === 'done');

    const take = async (chosen: File | undefined) => {
        if (!chosen) {
            return;
        }
        setRefused(null);
        try {
            const text = await chosen.text();
            const state = orRefuse(
                await client.POST('/api/jobs/import', {
                    body: text as unknown as JobFacts,
                    bodySerializer: (body) => body as unknown as string,
                }),
            );
            await queries.invalidateQueries({ queryKey: ['bench'] });
            void navigate(`/job/${state.facts.id}/${state.answers.next.stage}`);
        } catch (error) {
            const where =
                error instanceof Refused && error.field !== 'file'
                    ? ` In the file it is at ${error.field}.`
                    : '';
            setRefused((error instanceof Error ? error.message : 'This file can’t be read.') + where);
        }
    };

    return (
        <Frame
            title={shop.data?.name ?? ''}
            subtitle={`${now.length} to work on · ${done.length} done`}
            strip={<BenchStrip />}
        >
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25, mb: 1.5, flexWrap: 'wrap' }}>
                <Typography variant="h1" sx={{ flex: 1 }}>
                    The bench
                </Typography>
                <input
                    ref={file}
                    type="file"
                    accept=".json,application/json"
                    hidden
                    aria-label="Job file"
                    onChange={(event) => {
                        void take(event.target.files?.[0]);
                        event.target.value = '';
                    }}
                />
                <Button variant="outlined" color="inherit" onClick={() => file.current?.click()}>
                    Take in a job file
                </Button>
                <Button variant="contained" size="large" onClick={() => setStarting(true)}>
                    What are you making?
                </Button>
            </Box>
            {refused !== null && (
                <Alert severity="error" variant="outlined" onClose={() => setRefused(null)} sx={{ mb: 1.5 }}>
                    {refused}
                </Alert>
            )}
            <Group title="You can work on these now" rows={now} />
            <Group title="Done" rows={done} />
            {bench.isSuccess && rows.length === 0 && (
                <Typography sx={{ mt: 4 }}>
                    Nothing on the bench. Start with “What are you making?”.
                </Typography>
            )}
            {bench.isError && (
                <Alert severity="error">The bench can’t be fetched just now. It is tried again.</Alert>
            )}
            <NewJob open={starting} close={() => setStarting(false)} />
        </Frame>
    );
}

function Group({ title, rows }: { title: string; rows: BenchRow[] }) {
    const { say } = useSettings();
    if (rows.length === 0) {
        return null;
    }
    return (
        <Box component="section" aria-label={title} sx={{ mb: 2.5 }}>
            <Typography variant="h2" sx={{ pl: 1.25, pb: 1, borderBottom: 1, borderColor: 'divider' }}>
                {title}
            </Typography>
            {rows.map((row) => (
                <Box
                    key={row.id}
                    component={Link}
                    to={`/job/${row.id}/${row.next.stage}${row.next.target === null ? '' : `?at=${row.next.target}`}`}
                    sx={{
                        display: 'grid',
                        gridTemplateColumns: {
                            xs: '76px 1fr',
                            sm: '88px minmax(220px, 1fr) minmax(220px, 1.1fr) 130px',
                        },
                        columnGap: 2,
                        alignItems: 'center',
                        py: 1.1,
                        px: 1.25,
                        borderBottom: 1,
                        borderColor: 'divider',
                        color: 'inherit',
                        textDecoration: 'none',
                        '&:hover': { bgcolor: 'action.hover' },
                    }}
                >
                    <KindPicture />
                    <Box sx={{ minWidth: 0 }}>
                        <Typography sx={{ fontWeight: 700, fontSize: 18 }}>
                            {row.machine === '' ? 'New job' : row.machine}
                        </Typography>
                        <Typography variant="body2" color="textSecondary">
                            {row.part}, {row.quantity} off
                        </Typography>
                    </Box>
                    <Typography sx={{ fontSize: 18, gridColumn: { xs: '2', sm: 'auto' } }}>
                        {say(row.next.says)}
                    </Typography>
                    <Box sx={{ gridColumn: { xs: '2', sm: 'auto' } }}>
                        <Box
                            component="span"
                            sx={{ border: 1, borderRadius: 0.25, px: 1, py: 0.25, fontSize: 14 }}
                        >
                            {STAGES.find((stage) => stage.code === row.next.stage)?.name}
                        </Box>
                    </Box>
                </Box>
            ))}
        </Box>
    );
}
