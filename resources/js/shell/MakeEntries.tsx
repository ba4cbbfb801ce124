import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useState, type MouseEvent } from 'react';
import { Link, useNavigate } from './router';
import type { LoopAnswer, MakeEntry } from '../api/types';
import { useJob } from '../job/JobContext';
import { Ghost } from './Ghost';
import { LinkButton } from './LinkButton';
import { MADE } from './made';
import { Notes } from './Notes';
import { useSettings } from './settings';
import { readingKind, sizeKind, Verdict } from './Verdict';

export function Entries() {
    const { answers } = useJob();
    return (
        <>
            <Typography variant="h2" component="h2" sx={{ mb: 0.75 }}>
                Make card{answers.batch === null ? '' : `, piece ${answers.batch.piece}`}
            </Typography>
            <Notes notes={answers.notes} />
            {answers.make
                .filter((entry) => !entry.rest)
                .map((entry) => (
                    <Entry key={entry.key} entry={entry} />
                ))}
            {answers.loops.map((loop) => (
                <LoopLength key={loop.id} loop={loop} />
            ))}
            <RestOfPart />
        </>
    );
}

/** What no joint and no loop asks for, folded: each with its limits, or what is missing. */
function RestOfPart() {
    const { answers, facts } = useJob();
    const { say } = useSettings();
    const [open, setOpen] = useState(false);
    const rest = answers.make.filter((entry) => entry.rest);
    if (rest.length === 0) {
        return null;
    }
    return (
        <Box sx={{ borderTop: 1, borderColor: 'divider', py: 1 }}>
            <LinkButton aria-expanded={open} onClick={() => setOpen(!open)}>
                The rest of the part ({rest.length})
            </LinkButton>
            {open &&
                rest.map((entry) => (
                    <ButtonBase
                        key={entry.key}
                        component={Link}
                        to={
                            entry.more.length > 0
                                ? `/job/${facts.id}/size?at=${entry.surface}`
                                : entry.band === null
                                  ? `/job/${facts.id}/survey?at=${entry.surface}`
                                  : `/job/${facts.id}/make?at=${entry.key}`
                        }
                        sx={{
                            display: 'block',
                            width: 1,
                            textAlign: 'left',
                            minHeight: 44,
                            py: 0.5,
                            '&:hover': { bgcolor: 'action.hover' },
                        }}
                    >
                        <Typography variant="label">{entry.label}</Typography>
                        {entry.lower !== null && entry.upper !== null && (
                            <Typography variant="size" component="p" color="make">
                                {say(entry.lower)} … {say(entry.upper)}
                            </Typography>
                        )}
                        {entry.made !== null && (
                            <Verdict kind={sizeKind(entry.verdict)}>
                                {say(entry.made)} {MADE[entry.verdict ?? ''] ?? 'so far'}
                            </Verdict>
                        )}
                        {entry.blocked && <Typography variant="body2">{say(entry.blocked)}</Typography>}
                        {entry.more[0] && (
                            <Typography variant="smallSize" component="p" color="make">
                                {entry.more[0].name} {say(entry.more[0].says)}
                            </Typography>
                        )}
                        {entry.remarks.map((remark, i) => (
                            <Typography key={i} variant="body2" color="textSecondary">
                                {say(remark)}
                            </Typography>
                        ))}
                    </ButtonBase>
                ))}
        </Box>
    );
}

/** A length that a loop asks for, with the gap it is for. */
function LoopLength({ loop }: { loop: LoopAnswer }) {
    const { say } = useSettings();
    const { facts, before } = useJob();
    const old = before?.loops.find((l) => l.id === loop.id)?.length;
    if (loop.length === null) {
        return null;
    }
    return (
        <ButtonBase
            component={Link}
            to={`/job/${facts.id}/size?at=${loop.id}`}
            sx={{
                display: 'block',
                width: 1,
                textAlign: 'left',
                borderTop: 1,
                borderColor: 'divider',
                py: 1,
                '&:hover': { bgcolor: 'action.hover' },
            }}
        >
            <Typography variant="label">{loop.length.name}</Typography>
            <Ghost was={old?.aim} now={loop.length.aim} />
            <Typography variant="bigSize" component="p" color="make">
                {say(loop.length.aim)}
            </Typography>
            <Typography sx={{ fontVariantNumeric: 'tabular-nums' }}>{say(loop.length.limit)}</Typography>
            <Typography variant="body2" sx={{ mt: 0.5 }}>
                for “{facts.loops?.find((l) => l.id === loop.id)?.name ?? 'the gap'}”
            </Typography>
        </ButtonBase>
    );
}

function Entry({ entry }: { entry: MakeEntry }) {
    const { say } = useSettings();
    const { facts, before } = useJob();
    const navigate = useNavigate();
    const old = before?.make.find((e) => e.key === entry.key);
    const at = entry.goto.surface === null ? '' : `?at=${entry.goto.surface}`;
    const to = `/job/${facts.id}/${entry.goto.stage}${at}`;
    return (
        <Box
            role="group"
            aria-label={entry.label}
            onClick={() => void navigate(to)}
            sx={{
                borderTop: 1,
                borderColor: 'divider',
                py: 1,
                cursor: 'pointer',
                '&:hover': { bgcolor: 'action.hover' },
            }}
        >
            <ButtonBase
                component={Link}
                to={to}
                onClick={(event: MouseEvent) => event.stopPropagation()}
                sx={{
                    typography: 'label',
                    minHeight: 28,
                    textAlign: 'left',
                }}
            >
                {entry.label}
            </ButtonBase>
            {entry.aim !== null ? (
                <>
                    <Ghost was={old?.aim} now={entry.aim} />
                    <Typography variant="bigSize" color="make">
                        {say(entry.aim)}
                    </Typography>
                    {entry.limit && (
                        <Typography sx={{ fontVariantNumeric: 'tabular-nums' }}>
                            {say(entry.limit)}
                        </Typography>
                    )}
                </>
            ) : (
                entry.blocked && (
                    <Box sx={{ borderLeft: 5, borderColor: 'overlap.main', pl: 1.25, my: 0.5 }}>
                        <Typography variant="body2">{say(entry.blocked)}</Typography>
                    </Box>
                )
            )}
            {entry.more.map((number) => (
                <Box
                    key={number.name}
                    sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, flexWrap: 'wrap' }}
                >
                    <Typography variant="body2">{number.name}</Typography>
                    <Typography variant="body2" sx={{ fontVariantNumeric: 'tabular-nums', fontWeight: 600 }}>
                        {say(number.says)}
                    </Typography>
                </Box>
            ))}
            {entry.chance !== null && entry.made === null && (
                <Verdict kind={entry.chance.kind}>{entry.chance.says}</Verdict>
            )}
            {entry.made !== null && (
                <Typography sx={{ my: 0.25 }}>
                    <Verdict kind={sizeKind(entry.verdict)}>
                        {say(entry.made)} {MADE[entry.verdict ?? ''] ?? 'so far'}
                    </Verdict>
                </Typography>
            )}
            {entry.reading !== null && entry.made === null && entry.chance === null && (
                <Verdict kind={readingKind(entry.reading.verdict)}>{say(entry.reading.says)}</Verdict>
            )}
            {entry.remarks.map((remark, i) => (
                <Typography key={i} variant="body2" sx={{ mt: 0.5 }}>
                    {say(remark)}
                </Typography>
            ))}
            <Notes notes={entry.notes} least="caution" />
        </Box>
    );
}
