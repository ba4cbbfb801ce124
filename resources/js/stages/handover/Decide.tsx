import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link } from '../../shell/router';
import { newId } from '../../api/client';
import type { JobAnswers } from '../../api/types';
import { day } from '../../entry/day';
import { useJob } from '../../job/JobContext';
import { whoIsHere } from '../../people/me';
import { LinkButton } from '../../shell/LinkButton';
import { useKept } from '../../entry/useKept';

type Row = JobAnswers['hand_over']['sizes'][number] | JobAnswers['hand_over']['fits'][number];

/** What was decided of a size or a fit that is not as asked, or not known: by whom, and why. */
export function Decide({ row }: { row: Row }) {
    const { facts, save } = useJob();
    const to = 'joint' in row ? { stage: 'size', surface: row.joint } : row.goto;
    const ways = `/job/${facts.id}/${to.stage}${to.surface === null ? '' : `?at=${to.surface}`}`;
    const [choice, setChoice] = useState<string | null>(null);
    const [by, setBy] = useKept('decided-by', whoIsHere.now().person?.name ?? '', (kept) => kept);
    const [why, setWhy] = useState('');
    const [refused, setRefused] = useState<string | null>(null);
    if (row.decided !== null) {
        const { id, says, at } = row.decided;
        return (
            <Typography variant="body2" component="div">
                {says}
                {at === null ? '' : ` · ${day(at)}`}{' '}
                <LinkButton onClick={() => void save('concessions', id, null)}>Take it back</LinkButton>
            </Typography>
        );
    }
    if (choice === null) {
        return (
            <Box sx={{ display: 'flex', columnGap: 1.5, flexWrap: 'wrap', alignItems: 'baseline' }}>
                {['above', 'below', 'outside'].includes(row.verdict ?? '') && (
                    <Typography
                        variant="label"
                        component={Link}
                        to={ways}
                        sx={{ py: 1.25, color: 'inherit' }}
                    >
                        ways out
                    </Typography>
                )}
                {row.choices.map((c) => (
                    <LinkButton key={c.decision} onClick={() => setChoice(c.decision)}>
                        {c.says}
                    </LinkButton>
                ))}
            </Box>
        );
    }
    const about =
        'joint' in row
            ? { joint: row.joint }
            : { surface: row.surface, phase: row.phase, cut: choice === 'accepted' ? row.cut : null };
    return (
        <Box
            component="form"
            onSubmit={(event) => {
                event.preventDefault();
                if (by.trim() === '' || why.trim() === '') {
                    setRefused('Say who decided it, and why: both stand on the sheet.');
                    return;
                }
                save('concessions', newId(), {
                    ...about,
                    decision: choice,
                    by: by.trim(),
                    why: why.trim(),
                    at: new Date().toISOString(),
                }).then(
                    () => setChoice(null),
                    (error: Error) => setRefused(error.message),
                );
            }}
            sx={{
                display: 'grid',
                gap: 1,
                mt: 0.5,
                gridTemplateColumns: '6.875rem minmax(9.375rem, 1fr)',
                alignItems: 'center',
            }}
        >
            <TextField
                label="Who"
                disabled={whoIsHere.now().person !== null}
                value={by}
                onChange={(event) => setBy(event.target.value)}
            />
            <TextField autoFocus label="Why" value={why} onChange={(event) => setWhy(event.target.value)} />
            <Box sx={{ gridColumn: '1 / -1', display: 'flex', gap: 1 }}>
                <Button type="submit" variant="contained">
                    {row.choices.find((c) => c.decision === choice)?.says ?? 'Keep it'}
                </Button>
                <Button color="inherit" onClick={() => setChoice(null)}>
                    Not now
                </Button>
            </Box>
            {refused !== null && (
                <Typography variant="body2" color="error" role="alert" sx={{ gridColumn: '1 / -1' }}>
                    {refused}
                </Typography>
            )}
        </Box>
    );
}
