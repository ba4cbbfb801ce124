import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { Suspense, useRef, useState } from 'react';
import { Link, useNavigate, useSearchParams } from '../shell/router';
import { client, orRefuse, Refused, outlives } from '../api/client';
import { useBench, useShop } from '../api/queries';
import type { BenchRow, JobFacts, Shelf } from '../api/types';
import { Frame } from '../shell/Frame';
import { later } from '../shell/later';
import { BenchStrip } from './BenchStrip';
import { FirstStart } from './FirstStart';
import { Group } from './BenchGroup';
import { Refusal } from './Refusal';

const Moved = later(async () => (await import('./Moved')).Moved);
const NewJob = later(async () => (await import('./NewJob')).NewJob);

const SHELVES: { code: Shelf; name: string; title: string }[] = [
    { code: 'bench', name: 'Bench', title: 'The bench' },
    { code: 'archive', name: 'Archive', title: 'The archive' },
    { code: 'bin', name: 'Bin', title: 'The bin: jobs stay here for 30 days' },
];

/** Side by side as one. */
const JOINED = {
    borderRadius: 0,
    '& + &': { ml: '-1px' },
    '&:first-of-type': { borderRadius: '4px 0 0 4px' },
    '&:last-of-type': { borderRadius: '0 4px 4px 0' },
    '&[aria-current], &[aria-current]:hover': { bgcolor: 'text.primary', color: 'background.paper' },
} as const;

const GROUPS: { state: BenchRow['state']; title: string }[] = [
    { state: 'now', title: 'You can work on these now' },
    { state: 'waits', title: 'Waiting' },
    { state: 'done', title: 'Done' },
];

/** Home: every job as a row, what can be done now first, with its next step in words. */
export function Bench() {
    const [params, setParams] = useSearchParams();
    const shelf = SHELVES.find((s) => s.code === params.get('shelf')) ?? SHELVES[0];
    const here = shelf?.code ?? 'bench';
    const bench = useBench(here);
    const shop = useShop();
    const navigate = useNavigate();
    const queries = useQueryClient();
    const file = useRef<HTMLInputElement>(null);
    const starting = params.has('new');
    const setStarting = (on: boolean) =>
        setParams(
            (now) => {
                now.delete('new');
                if (on) {
                    now.set('new', '1');
                }
                return now;
            },
            { replace: true },
        );
    const [refused, setRefused] = useState<string | null>(null);
    const [moved, setMoved] = useState<{ id: string; says: string; back: Shelf } | null>(null);
    const counts = bench.data?.counts ?? { now: 0, waits: 0, done: 0 };
    const rows = bench.data?.jobs ?? [];

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
    const put = async (id: string, to: Shelf) => {
        try {
            orRefuse(
                await client.PUT('/api/jobs/{job}/shelf', {
                    ...outlives,
                    params: { path: { job: id } },
                    body: { shelf: to },
                }),
            );
            await queries.invalidateQueries({ queryKey: ['bench'] });
            return true;
        } catch (error) {
            setRefused(error instanceof Error ? error.message : 'That did not work. Try again.');
            return false;
        }
    };
    const move = async (id: string, to: Shelf) => {
        if (await put(id, to)) {
            const says = {
                bench: 'Back on the bench.',
                archive: 'In the archive.',
                bin: 'In the bin for 30 days.',
            }[to];
            setMoved({ id, says, back: here });
        }
    };

    return (
        <Frame
            title={shop.data?.name ?? ''}
            subtitle={`${counts.now} to work on · ${counts.waits} waiting · ${counts.done} done`}
            strip={<BenchStrip />}
        >
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25, mb: 1.5, flexWrap: 'wrap' }}>
                <Typography variant="h1" component="h2" sx={{ flex: 1 }}>
                    {shelf?.title}
                </Typography>
                <Box component="nav" aria-label="Where" sx={{ display: 'flex' }}>
                    {SHELVES.map((s) => (
                        <Button
                            key={s.code}
                            component={Link}
                            to={s.code === 'bench' ? '/' : `/?shelf=${s.code}`}
                            color="inherit"
                            variant="outlined"
                            aria-current={s.code === here ? 'page' : undefined}
                            sx={JOINED}
                        >
                            {s.name}
                        </Button>
                    ))}
                </Box>
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
                <Button
                    variant="contained"
                    size="large"
                    aria-keyshortcuts="j"
                    onClick={() => setStarting(true)}
                >
                    What are you making?
                </Button>
            </Box>
            {here === 'bench' && shop.data && (
                <FirstStart shop={shop.data} empty={bench.data !== undefined && rows.length === 0} />
            )}
            {refused !== null && <Refusal says={refused} close={() => setRefused(null)} />}
            {GROUPS.map(({ state, title }) => (
                <Group
                    key={state}
                    title={here === 'bench' ? title : ''}
                    rows={rows.filter((row) => row.state === state)}
                    count={counts[state]}
                    shelf={here}
                    move={(id, to) => void move(id, to)}
                />
            ))}
            {bench.isSuccess && rows.length === 0 && (
                <Typography sx={{ mt: 4 }}>
                    {here === 'bench'
                        ? 'Nothing on the bench. Start with “What are you making?”.'
                        : 'Nothing here.'}
                </Typography>
            )}
            {bench.isError && <Refusal says="The bench can’t be fetched just now. It is tried again." />}
            <Suspense>{starting && <NewJob open close={() => setStarting(false)} />}</Suspense>
            <Suspense>
                {moved && (
                    <Moved
                        says={moved.says}
                        close={() => setMoved(null)}
                        undo={() => void put(moved.id, moved.back)}
                    />
                )}
            </Suspense>
        </Frame>
    );
}
