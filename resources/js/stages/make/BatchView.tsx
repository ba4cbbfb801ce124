import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { Batch } from '../../api/types';
import { NumberFact } from '../../entry/NumberFact';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { LinkButton } from '../../shell/LinkButton';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { sizeKind, Verdict } from '../../shell/Verdict';
import { Why } from '../../shell/Why';
import { mono } from '../../theme/theme';
import { Mates } from './Mates';
import { useBatch } from './useBatch';
import { useGoesOn } from './useOnward';

/** The batch below what is being cut: how this size runs from piece to piece, all pieces, and who goes with whom. */
export function BatchView({ at }: { at: string }) {
    const { answers } = useJob();
    const { batch: facts, change } = useBatch();
    const [goesOn, setGoesOn] = useGoesOn();
    const batch = answers.batch;
    if (batch === null) {
        return null;
    }
    const run = batch.runs.find((one) => one.key === at);
    return (
        <Box component="section" aria-label="The batch" sx={{ mt: 2 }}>
            <Typography variant="h2">The batch</Typography>
            {run && <Run run={run} />}
            <Box sx={{ display: 'flex', gap: 2, alignItems: 'start', flexWrap: 'wrap', mt: 1 }}>
                <Box sx={{ width: 220 }}>
                    <NumberFact
                        label="Measure one of every"
                        value={facts.every}
                        needed="Say of how many pieces one is measured: 1 is every one."
                        helperText="besides the first and the last"
                        store={(every) => change(() => ({ every: every ?? 1 }))}
                    />
                </Box>
                <FormControlLabel
                    control={<Switch checked={goesOn} onChange={(_, on) => setGoesOn(on)} />}
                    label="On to the next piece once a size is logged"
                />
            </Box>
            <PieceTable batch={batch} />
            <Mates batch={batch} />
        </Box>
    );
}

function Run({ run }: { run: Batch['runs'][number] }) {
    const { say } = useSettings();
    return (
        <Box>
            <Typography sx={{ fontWeight: 600 }}>{say(run.says)}</Typography>
            <Notes notes={run.notes} />
            <Box sx={{ maxWidth: 720, mt: 1 }}>
                <Framed>
                    <DrawingView drawing={run.picture} />
                </Framed>
            </Box>
            <Why steps={run.working} label="Why these limits" />
        </Box>
    );
}

function PieceTable({ batch }: { batch: Batch }) {
    const { answers } = useJob();
    const { batch: facts, change } = useBatch();
    const { say } = useSettings();
    const there = batch.pieces.filter((one) => one.sizes.length > 0 || one.state === 'scrap');
    const columns = answers.make.filter((entry) =>
        there.some((one) => one.sizes.some((size) => size.key === entry.key)),
    );
    if (there.length === 0) {
        return null;
    }
    const scrap = (piece: number, is: boolean) =>
        void change((now) => ({
            scrapped: is ? [...now.scrapped, piece] : now.scrapped.filter((one) => one !== piece),
        }));
    return (
        <Box sx={{ overflowX: 'auto', mt: 1 }}>
            <Table size="small" aria-label="Sizes of every piece">
                <TableHead>
                    <TableRow>
                        <TableCell>piece</TableCell>
                        {columns.map((entry) => (
                            <TableCell key={entry.key}>{entry.label}</TableCell>
                        ))}
                        <TableCell>it is</TableCell>
                        <TableCell />
                    </TableRow>
                </TableHead>
                <TableBody>
                    {there.map((one) => (
                        <TableRow key={one.piece}>
                            <TableCell sx={{ fontFamily: mono, fontWeight: 700 }}>{one.piece}</TableCell>
                            {columns.map((entry) => {
                                const size = one.sizes.find((s) => s.key === entry.key);
                                return (
                                    <TableCell key={entry.key}>
                                        {size?.size ? (
                                            <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
                                                <Box component="span" sx={{ fontFamily: mono }}>
                                                    {say(size.size)}
                                                </Box>
                                                {size.verdict !== null && (
                                                    <Verdict kind={sizeKind(size.verdict)}>
                                                        {size.decided ??
                                                            (size.verdict === 'inside'
                                                                ? 'inside'
                                                                : size.verdict === 'cannot-tell'
                                                                  ? 'can’t tell'
                                                                  : size.verdict)}
                                                    </Verdict>
                                                )}
                                            </Box>
                                        ) : (
                                            '–'
                                        )}
                                    </TableCell>
                                );
                            })}
                            <TableCell>{one.says}</TableCell>
                            <TableCell sx={{ p: 0, width: 130 }}>
                                <LinkButton
                                    size="small"
                                    aria-label={
                                        facts.scrapped.includes(one.piece)
                                            ? `It is no scrap: piece ${one.piece}`
                                            : `Scrap it: piece ${one.piece}`
                                    }
                                    onClick={() => scrap(one.piece, !facts.scrapped.includes(one.piece))}
                                >
                                    {facts.scrapped.includes(one.piece) ? 'It is no scrap' : 'Scrap it'}
                                </LinkButton>
                            </TableCell>
                        </TableRow>
                    ))}
                </TableBody>
            </Table>
        </Box>
    );
}
