import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import { newId } from '../../api/client';
import type { JointAnswer, LoopAnswer, Say } from '../../api/types';
import { day } from '../../entry/day';
import { readNumber } from '../../entry/number';
import { TypedField } from '../../entry/TypedField';
import { useUnderstood } from '../../entry/useUnderstood';
import { useJob } from '../../job/JobContext';
import { Folded } from '../../shell/Folded';
import { useSettings } from '../../shell/settings';
import { Why } from '../../shell/Why';

type Rows = { id: string; says: Say; at: string | null }[];

/** Round parts tried in each other: a tap says what was seen, and the next cut follows. */
export function JointTrials({
    joint,
    trials,
}: {
    joint: string;
    trials: NonNullable<JointAnswer['trials']>;
}) {
    const { save } = useJob();
    const { say } = useSettings();
    const [note, setNote] = useState('');
    const [refused, setRefused] = useState<string | null>(null);
    const saw = (seen: string) =>
        save('trials', newId(), { joint, cut: trials.cut, seen, note, at: new Date().toISOString() }).then(
            () => {
                setNote('');
                setRefused(null);
            },
            (error: Error) => setRefused(error.message),
        );
    return (
        <Fold title="Fit by trial" rows={trials.rows}>
            {trials.says && <Typography variant="said">{say(trials.says)}</Typography>}
            {trials.mate && <Typography>{say(trials.mate)}</Typography>}
            {trials.cut === null ? (
                <Typography variant="body2" color="textSecondary">
                    Log its first cut, then say here what was seen when it was tried.
                </Typography>
            ) : (
                <>
                    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', my: 1 }}>
                        {trials.choices.map((seen) => (
                            <Button
                                key={seen}
                                variant="outlined"
                                color="inherit"
                                onClick={() => void saw(seen)}
                            >
                                {seen}
                            </Button>
                        ))}
                    </Box>
                    <TextField
                        label="Beside it, in your own words"
                        value={note}
                        onChange={(event) => setNote(event.target.value)}
                        sx={{ width: 1, maxWidth: 470 }}
                    />
                </>
            )}
            <Refused says={refused} />
            <Tried rows={trials.rows} />
            <Why steps={trials.working} label="Why this cut" />
        </Fold>
    );
}

/** A stack tried together: the gap that was seen, or how far from home it binds. */
export function LoopTrials({
    about,
    trials,
}: {
    about: { loop: string } | { joint: string };
    trials: NonNullable<LoopAnswer['trials']>;
}) {
    const { save } = useJob();
    const { say, typing } = useSettings();
    const [amount, setAmount] = useState('');
    const [turn, setTurn] = useState('');
    const [pitch, setPitch] = useState('');
    const [note, setNote] = useState('');
    const [refused, setRefused] = useState<string | null>(null);
    const understood = useUnderstood(amount, typing);
    const pitchRead = useUnderstood(pitch, typing);
    const turned = readNumber(turn, '0.125');
    const saw = (seen: string) => {
        const byTurn = turn.trim() !== '';
        if ('refused' in turned || (byTurn && pitch.trim() === '') || (!byTurn && amount.trim() === '')) {
            setRefused(
                'refused' in turned
                    ? turned.refused
                    : byTurn
                      ? 'Say the pitch of the thread too: 1/24 in for 24 to the inch.'
                      : 'Say how much: the gap, how far from home it binds, or what part of a turn.',
            );
            return;
        }
        save('trials', newId(), {
            ...about,
            cut: trials.cut,
            seen,
            amount: byTurn ? null : { typed: amount, unit: typing },
            turn: byTurn ? turned.value : null,
            pitch: byTurn ? { typed: pitch, unit: typing } : null,
            note,
            at: new Date().toISOString(),
        }).then(
            () => {
                setAmount('');
                setTurn('');
                setNote('');
                setRefused(null);
            },
            (error: Error) => setRefused(error.message),
        );
    };
    return (
        <Fold title="Tried together" rows={trials.rows}>
            {trials.do && <Typography variant="said">{say(trials.do)}</Typography>}
            {trials.why && <Typography>{say(trials.why)}</Typography>}
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    my: 1,
                    gridTemplateColumns: {
                        xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                        sm: '1fr 0.9fr 1fr 1.1fr',
                    },
                    alignItems: 'start',
                }}
            >
                <TypedField
                    small
                    label="Gap, or from home"
                    value={amount}
                    understood={understood}
                    typed={setAmount}
                />
                <TextField
                    label="or part of a turn"
                    value={turn}
                    error={'refused' in turned}
                    helperText={'refused' in turned ? turned.refused : ' '}
                    onChange={(event) => setTurn(event.target.value)}
                />
                <TypedField
                    label="of a thread of pitch"
                    value={pitch}
                    understood={pitchRead}
                    typed={setPitch}
                />
                <TextField
                    label="In your own words"
                    value={note}
                    onChange={(event) => setNote(event.target.value)}
                />
            </Box>
            <Box sx={{ display: 'flex', gap: 1 }}>
                <Button variant="outlined" color="inherit" onClick={() => saw('binds')}>
                    It binds
                </Button>
                <Button variant="outlined" color="inherit" onClick={() => saw('gap')}>
                    There is a gap
                </Button>
            </Box>
            <Refused says={refused} />
            <Tried rows={trials.rows} />
            <Why steps={trials.working} label="Why this much" />
        </Fold>
    );
}

function Fold({ title, rows, children }: { title: string; rows: Rows; children: ReactNode }) {
    return (
        <Folded
            title={title}
            says={rows.length === 0 ? 'nothing tried yet' : `${rows.length} tried`}
            startOpen={rows.length > 0}
        >
            {children}
        </Folded>
    );
}

function Refused({ says }: { says: string | null }) {
    return says === null ? null : (
        <Typography variant="body2" color="error" role="alert" sx={{ mt: 0.5 }}>
            {says}
        </Typography>
    );
}

function Tried({ rows }: { rows: Rows }) {
    const { say } = useSettings();
    return rows.length === 0 ? null : (
        <Box component="ol" aria-label="Trials" sx={{ my: 1, pl: 3 }}>
            {rows.map((row) => (
                <li key={row.id}>
                    {say(row.says)}
                    {row.at === null ? '' : `, ${day(row.at)}`}
                </li>
            ))}
        </Box>
    );
}
