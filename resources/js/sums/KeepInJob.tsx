import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link } from '../shell/router';
import { newId } from '../api/client';
import { useBench } from '../api/queries';
import type { Sums, Unit } from '../api/types';
import { useSaver } from '../shell/SaverContext';

/** What was typed here, kept in a job: there it may take the job's sizes and give sizes to it. */
export function KeepInJob({
    sum,
    given,
    unit,
}: {
    sum: Sums['sums'][number];
    given: Record<string, string>;
    unit: Unit;
}) {
    const bench = useBench();
    const saver = useSaver();
    const [kept, setKept] = useState<{ job: string; id: string; name: string } | null>(null);
    const [refused, setRefused] = useState<string | null>(null);
    const jobs = (bench.data?.jobs ?? []).map((job) => ({ id: job.id, name: `${job.machine}, ${job.part}` }));
    const keep = (job: string) => {
        const id = newId();
        const filled = Object.fromEntries(Object.entries(given).filter(([, text]) => text.trim() !== ''));
        setRefused(null);
        saver.save(job, 'reckonings', id, { sum: sum.name, name: sum.title, given: filled, unit }).then(
            () => setKept({ job, id, name: jobs.find((one) => one.id === job)?.name ?? 'the job' }),
            (error: Error) => setRefused(error.message),
        );
    };
    return (
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mt: 1.5 }}>
            <TextField
                select
                label="Keep it in a job"
                value=""
                onChange={(event) => keep(event.target.value)}
                sx={{ width: 260 }}
            >
                {jobs.map((job) => (
                    <MenuItem key={job.id} value={job.id}>
                        {job.name}
                    </MenuItem>
                ))}
            </TextField>
            {kept && (
                <Typography role="status">
                    Kept:{' '}
                    <Link to={`/job/${kept.job}/size?at=${kept.id}`} style={{ color: 'inherit' }}>
                        {kept.name}
                    </Link>
                </Typography>
            )}
            {refused !== null && (
                <Typography color="error" role="alert">
                    {refused}
                </Typography>
            )}
        </Box>
    );
}
