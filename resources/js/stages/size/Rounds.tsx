import { moment } from '../../entry/day';
import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { Reckoned, ReckoningFacts } from '../../api/types';
import { TextFact } from '../../entry/TextFact';
import { BESIDE, Value } from '../../sums/Outcome';
import { isWayRound, labelled, type Words } from '../../sums/values';

/** How it was before, round by round, beside how it is now. */
export function Rounds({
    facts,
    answer,
    words,
    store,
}: {
    facts: ReckoningFacts;
    answer: Reckoned;
    words: Words;
    store: (of: (now: ReckoningFacts) => Partial<ReckoningFacts>) => Promise<unknown>;
}) {
    if (answer.rounds.length === 0) {
        return null;
    }
    const all: (Record<string, unknown> | null)[] = [...answer.rounds.map((r) => r.result), answer.result];
    const names = [...new Set(all.flatMap((result) => Object.keys(result ?? {})))].filter(
        (name) =>
            !BESIDE.includes(name) &&
            all.some((result) => result?.[name] !== null && typeof result?.[name] !== 'object'),
    );
    return (
        <Box component="section" aria-label="Before and now" sx={{ mt: 2, overflowX: 'auto' }}>
            <Typography variant="h2">Before and now</Typography>
            <Table size="small">
                <TableHead>
                    <TableRow>
                        <TableCell />
                        {answer.rounds.map((round, at) => (
                            <TableCell key={at}>
                                {at + 1}
                                {round.at !== '' && ` · ${moment(round.at)}`}
                            </TableCell>
                        ))}
                        <TableCell>now</TableCell>
                    </TableRow>
                </TableHead>
                <TableBody>
                    {names.map((name) => {
                        const { name: label, unit } = labelled(name, words);
                        return (
                            <TableRow key={name}>
                                <TableCell component="th" scope="row">
                                    {label}
                                </TableCell>
                                {all.map((result, at) => (
                                    <TableCell
                                        key={at}
                                        sx={{
                                            fontVariantNumeric: 'tabular-nums',
                                            fontWeight: at === all.length - 1 ? 700 : 400,
                                        }}
                                    >
                                        {result ? (
                                            <Value
                                                value={result[name]}
                                                unit={unit}
                                                roundly={isWayRound(name)}
                                            />
                                        ) : (
                                            '–'
                                        )}
                                    </TableCell>
                                ))}
                            </TableRow>
                        );
                    })}
                    <TableRow>
                        <TableCell component="th" scope="row">
                            What was done then
                        </TableCell>
                        {facts.rounds.map((round, at) => (
                            <TableCell key={at}>
                                <TextFact
                                    aria-label={`What was done after ${at + 1}`}
                                    value={round.note}
                                    store={(note) =>
                                        store((now) => ({
                                            rounds: now.rounds.map((r, i) => (i === at ? { ...r, note } : r)),
                                        }))
                                    }
                                    sx={{ minWidth: 110 }}
                                />
                            </TableCell>
                        ))}
                        <TableCell />
                    </TableRow>
                </TableBody>
            </Table>
        </Box>
    );
}
