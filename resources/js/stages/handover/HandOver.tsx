import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useSearchParams } from '../../shell/router';
import { TextFact } from '../../entry/TextFact';
import { day } from '../../entry/day';
import { useJob } from '../../job/JobContext';
import { Whole } from '../size/Whole';
import { Decide } from './Decide';
import { Drawings } from './Drawings';
import { Issues } from './Issues';
import { Tag } from './Tag';
import { Framed } from '../../pictures/Framed';
import { More } from '../../shell/More';
import { useSettings } from '../../shell/settings';
import { sizeKind, Verdict } from '../../shell/Verdict';
import { mono } from '../../theme/theme';

/** What was made, the fits that came of it, and the sheet and file that go with it. */
export function HandOver() {
    const { facts, answers, save } = useJob();
    const { say, units, typing } = useSettings();
    const [, setParams] = useSearchParams();
    const unit = units === 'both' ? typing : units;
    const sheet = `/api/jobs/${facts.id}/sheet?unit=${unit}`;
    const { hand_over: over } = answers;
    const finished = facts.hand_over.finished_at;
    const cell = { fontFamily: mono };
    return (
        <Box sx={{ maxWidth: 1000 }}>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mb: 1.25, flexWrap: 'wrap' }}>
                <Typography variant="h1" component="h2">
                    As built
                </Typography>
                <Verdict kind={over.good ? 'good' : 'usable'}>{over.says}</Verdict>
            </Box>
            <Whole />
            <Drawings />
            <Framed pad={0}>
                <Box sx={{ overflowX: 'auto' }}>
                    <Table size="small" aria-label="Made sizes">
                        <TableHead>
                            <TableRow>
                                <TableCell>surface</TableCell>
                                <TableCell>limits</TableCell>
                                <TableCell>as made</TableCell>
                                <TableCell>verdict</TableCell>
                            </TableRow>
                        </TableHead>
                        <TableBody>
                            {over.sizes.map((row) => (
                                <TableRow key={row.key}>
                                    <TableCell>{row.label}</TableCell>
                                    <TableCell sx={cell}>
                                        {row.lower && row.upper
                                            ? `${say(row.lower)} … ${say(row.upper)}`
                                            : '–'}
                                    </TableCell>
                                    <TableCell sx={{ typography: 'size' }}>
                                        {row.made ? say(row.made) : '–'}
                                        {row.plus_minus && (
                                            <Typography
                                                component="span"
                                                variant="body2"
                                                color="textSecondary"
                                            >
                                                {' '}
                                                ±{say(row.plus_minus)}
                                            </Typography>
                                        )}
                                    </TableCell>
                                    <TableCell>
                                        <Verdict kind={sizeKind(row.verdict)}>{row.verdict_says}</Verdict>
                                        <Decide row={row} />
                                    </TableCell>
                                </TableRow>
                            ))}
                        </TableBody>
                    </Table>
                </Box>
            </Framed>
            <Typography variant="h2" sx={{ mt: 2, mb: 0.75 }}>
                Fits achieved
            </Typography>
            <Framed pad={0}>
                <Box sx={{ overflowX: 'auto' }}>
                    <Table size="small" aria-label="Fits achieved">
                        <TableHead>
                            <TableRow>
                                <TableCell>joint</TableCell>
                                <TableCell>wanted</TableCell>
                                <TableCell>achieved</TableCell>
                                <TableCell>verdict</TableCell>
                            </TableRow>
                        </TableHead>
                        <TableBody>
                            {over.fits.map((row) => (
                                <TableRow key={row.joint}>
                                    <TableCell>{row.label}</TableCell>
                                    <TableCell sx={cell}>{row.wanted ? say(row.wanted) : '–'}</TableCell>
                                    <TableCell sx={{ ...cell, fontWeight: 700 }}>
                                        {row.achieved ? say(row.achieved) : '–'}
                                    </TableCell>
                                    <TableCell>
                                        <Verdict kind={sizeKind(row.verdict)}>{row.verdict_says}</Verdict>
                                        <Decide row={row} />
                                    </TableCell>
                                </TableRow>
                            ))}
                        </TableBody>
                    </Table>
                </Box>
            </Framed>
            <Box sx={{ mt: 2, maxWidth: 720 }}>
                <TextFact
                    label="What to do differently next time"
                    multiline
                    minRows={2}
                    value={facts.hand_over.next_time}
                    store={(next_time) => save(null, '', { hand_over: { next_time } })}
                />
            </Box>
            <Box sx={{ mt: 1.5, display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'start' }}>
                <Box sx={{ width: 240 }}>
                    <TextFact
                        label="Look at it again on"
                        value={facts.hand_over.service_on ?? ''}
                        helperText="year-month-day; in the calendar file too"
                        store={(text) =>
                            save(null, '', {
                                hand_over: { service_on: text.trim() === '' ? null : text.trim() },
                            })
                        }
                    />
                </Box>
                {answers.quote.times.says && (
                    <Typography sx={{ pt: 1 }}>It took {answers.quote.times.says}</Typography>
                )}
            </Box>
            <Box sx={{ display: 'flex', gap: 1.25, mt: 2, flexWrap: 'wrap', alignItems: 'center' }}>
                {finished === null ? (
                    <Button
                        variant="contained"
                        onClick={() =>
                            void save(null, '', { hand_over: { finished_at: new Date().toISOString() } })
                        }
                    >
                        Hand it over
                    </Button>
                ) : (
                    <>
                        <Verdict kind="good">handed over {day(finished)}</Verdict>
                        <Button
                            color="inherit"
                            onClick={() => void save(null, '', { hand_over: { finished_at: null } })}
                        >
                            Open it again
                        </Button>
                    </>
                )}
                <Button variant="outlined" color="inherit" href={`${sheet}&paper=a4`} target="_blank">
                    Sheet, A4
                </Button>
                <Button variant="outlined" color="inherit" href={`${sheet}&paper=letter`} target="_blank">
                    Sheet, Letter
                </Button>
                <Button
                    variant="outlined"
                    color="inherit"
                    href={`/api/jobs/${facts.id}/card?unit=${unit}`}
                    target="_blank"
                >
                    Card for the machine
                </Button>
                <Tag />
                <Button variant="outlined" color="inherit" href={`/api/jobs/${facts.id}/file`}>
                    Job file
                </Button>
                <More
                    name="Tables …"
                    doings={[
                        ...(['sizes', 'holes', 'cuts'] as const).map((table) => ({
                            name: `${table} CSV`,
                            to: `/api/jobs/${facts.id}/tables/${table}?unit=${unit}`,
                        })),
                        { name: 'Calendar', to: `/api/jobs/${facts.id}/calendar` },
                    ]}
                />
                <Button variant="outlined" color="inherit" onClick={() => setParams({ history: '1' })}>
                    What was done
                </Button>
            </Box>
            <Hands />
            <Issues />
        </Box>
    );
}

/** Who did what, where people sign in. */
function Hands() {
    const { answers } = useJob();
    const { hands } = answers.hand_over;
    if (hands.length === 0) {
        return null;
    }
    return (
        <Box component="section" aria-label="Who did it" sx={{ mt: 2 }}>
            <Typography variant="h2">Who did it</Typography>
            {hands.map((row) => (
                <Typography key={row.by} sx={{ my: 0.5 }}>
                    <b>{row.by}</b>: {row.did.join('; ')}
                </Typography>
            ))}
        </Box>
    );
}
