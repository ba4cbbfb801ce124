import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { Link, useNavigate, useParams } from '../shell/router';
import { BenchStrip } from '../bench/BenchStrip';
import type { Debrief, PracticeBench } from '../api/types';
import { Frame } from '../shell/Frame';
import { useSettings } from '../shell/settings';
import { mono } from '../theme/theme';
import { FitTruth } from './FitTruth';
import { Marks } from './Marks';
import { beginPractice, usePracticeBench } from './usePractice';

/** The truth beside what one believed, once it is over. */
export function DebriefPage() {
    const { job = '' } = useParams();
    const state = usePracticeBench(job);
    const navigate = useNavigate();
    const debrief = state.data?.debrief;
    const bench = state.data?.bench;
    return (
        <Frame
            title="Practice"
            subtitle={bench === undefined ? '' : bench.lesson.title}
            strip={<BenchStrip />}
        >
            {state.isError && <Typography>{state.error.message}</Typography>}
            {bench && !debrief && (
                <Box>
                    <Typography>It is not over yet: the truth comes at the end.</Typography>
                    <Button component={Link} to={`/job/${job}/measure`} variant="contained" sx={{ mt: 1 }}>
                        Go on with it
                    </Button>
                </Box>
            )}
            {bench && debrief && (
                <Told
                    debrief={debrief}
                    bench={bench}
                    job={job}
                    again={async (seed) => {
                        const { lesson, seed: old } = bench;
                        const of =
                            lesson.code !== ''
                                ? { lesson: lesson.code }
                                : { kind: lesson.kind, level: lesson.level, unit: bench.unit };
                        const next = await beginPractice(of, seed ?? old);
                        void navigate(`/job/${next}/take-in`);
                    }}
                />
            )}
        </Frame>
    );
}

function Told({
    debrief,
    bench,
    job,
    again,
}: {
    debrief: Debrief;
    bench: PracticeBench;
    job: string;
    again: (seed: number | null) => Promise<void>;
}) {
    const { say, units } = useSettings();
    const size = (mm: number) =>
        (units === 'in' ? (mm / 25.4).toFixed(4) : mm.toFixed(3))
            .replace(/^-/, '−')
            .replace(/^−(0\.0+)$/, '$1');
    // What rounds to nothing has no sign.
    const off = (mm: number) => (mm > 0 && /[1-9]/.test(size(mm)) ? '+' : '') + size(mm);
    const band = (of: { lower_mm: number; upper_mm: number } | null) =>
        of === null ? '–' : `${size(of.lower_mm)} … ${size(of.upper_mm)}`;
    return (
        <Box sx={{ maxWidth: 1000, display: 'grid', gap: 2.5, gridTemplateColumns: 'minmax(0, 1fr)' }}>
            <Box>
                <Typography variant="outcome" component="h2" color={debrief.good ? 'good' : 'overlap'}>
                    {say(debrief.verdict)}
                </Typography>
                {debrief.trap && <Typography sx={{ fontWeight: 700 }}>{debrief.trap.says}</Typography>}
                {debrief.first && <Typography>It went wrong first: {say(debrief.first)}</Typography>}
            </Box>
            {debrief.about !== '' && (
                <Alert severity={debrief.good ? 'success' : 'info'} variant="outlined" icon={false}>
                    <Typography>{debrief.about}</Typography>
                    <Typography>
                        <b>What saves it:</b> {debrief.saved}
                    </Typography>
                </Alert>
            )}
            <Marks scores={debrief.scores} />
            {debrief.joints.length > 0 && (
                <Box component="section" aria-label="Fits">
                    <Typography variant="h2">Fits</Typography>
                    <Typography variant="body2" color="textSecondary" sx={{ mb: 1 }}>
                        Clearance in {units === 'in' ? 'inches' : 'millimetres'}; below zero they overlap.
                        Above: where it works. Below: what it came to.
                    </Typography>
                    {debrief.joints.map((joint) => (
                        <FitTruth key={joint.joint} joint={joint} size={size} says={say(joint.says)} />
                    ))}
                </Box>
            )}
            {debrief.loops.map((loop) => (
                <Typography key={loop.loop}>
                    <b>{loop.name}</b>: {size(loop.is_mm)}. {say(loop.says)}
                </Typography>
            ))}
            {debrief.sizes.length > 0 && (
                <Told2
                    title="What was cut"
                    head={['Surface', 'Asked', 'Believed', 'Is', 'With everything read right']}
                    rows={debrief.sizes.map((one) => [
                        one.name,
                        band(one.asked),
                        one.believed_mm === null ? '–' : size(one.believed_mm),
                        size(one.is_mm),
                        band(one.right),
                    ])}
                />
            )}
            {debrief.readings.length > 0 && (
                <Told2
                    title="What was read"
                    head={['Surface', 'Gauge', 'Written', 'True there', 'Off by', 'Why']}
                    rows={debrief.readings.map((one) => [
                        [one.surface, one.station, one.angle === '' ? '' : `${one.angle}°`]
                            .filter((t) => t !== '')
                            .join(' · '),
                        one.instrument,
                        size(one.typed_mm),
                        size(one.true_mm),
                        off(one.error_mm),
                        one.why
                            .slice(0, 2)
                            .map((w) => say(w.says))
                            .join('; '),
                    ])}
                />
            )}
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
                <Button variant="contained" onClick={() => void again(Math.floor(Math.random() * 1_000_000))}>
                    Again, with other parts
                </Button>
                <Button variant="outlined" color="inherit" onClick={() => void again(null)}>
                    Again, the same parts
                </Button>
                <Button component={Link} to={`/job/${job}/hand-over`} variant="outlined" color="inherit">
                    Back to the job
                </Button>
                <Typography variant="body2" color="textSecondary">
                    Drawn by {String(bench.seed)}; whoever types this number gets the same parts.
                </Typography>
            </Box>
        </Box>
    );
}

function Told2({ title, head, rows }: { title: string; head: string[]; rows: string[][] }) {
    return (
        <Box component="section" aria-label={title} sx={{ overflowX: 'auto' }}>
            <Typography variant="h2" sx={{ mb: 1 }}>
                {title}
            </Typography>
            <Table size="small">
                <TableHead>
                    <TableRow>
                        {head.map((h) => (
                            <TableCell key={h}>{h}</TableCell>
                        ))}
                    </TableRow>
                </TableHead>
                <TableBody>
                    {rows.map((row, i) => (
                        <TableRow key={i}>
                            {row.map((cell, k) => (
                                <TableCell
                                    key={k}
                                    sx={
                                        /^[−+]?\d/.test(cell)
                                            ? { fontFamily: mono, whiteSpace: 'nowrap' }
                                            : {}
                                    }
                                >
                                    {cell}
                                </TableCell>
                            ))}
                        </TableRow>
                    ))}
                </TableBody>
            </Table>
        </Box>
    );
}
