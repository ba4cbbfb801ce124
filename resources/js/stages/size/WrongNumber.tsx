import { TypedField } from '../../entry/TypedField';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useNavigate } from '../../shell/router';
import type { Say } from '../../api/types';
import { useUnderstood } from '../../entry/useUnderstood';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';

const CAUSES: [string, string][] = [
    ['wrong face', 'taken from the wrong face'],
    ['whole for half', 'the whole indicator reading taken for half'],
    ['wrong unit', 'the wrong unit'],
    ['misread', 'misread'],
    ['read warm', 'measured warm'],
    ['worn gauge', 'a worn or unchecked gauge'],
    ['drawing', 'the drawing was wrong'],
    ['other', 'something else'],
];

/** A number was wrong: the right one and the reason are kept beside it. */
export function WrongNumber({
    name,
    about,
    was,
    close,
}: {
    name: string;
    about: { loop: string; place: number } | { surface: string };
    was: Say | null;
    close: () => void;
}) {
    const { facts, saver } = useJob();
    const { say, typing } = useSettings();
    const navigate = useNavigate();
    const [text, setText] = useState('');
    const [cause, setCause] = useState('wrong face');
    const [note, setNote] = useState('');
    const [refused, setRefused] = useState<string | null>(null);
    const measured = 'surface' in about;
    const understood = useUnderstood(text, typing, false, measured);
    const send = () => {
        if (text.trim() === '' && !measured) {
            setRefused('What is the right size?');
            return;
        }
        saver
            .numberWasWrong(facts.id, {
                ...about,
                right: text.trim() === '' ? null : { typed: text, unit: typing },
                cause,
                note,
            })
            .then(
                () => {
                    close();
                    void navigate(`/job/${facts.id}/size?at=wrong`);
                },
                (error: Error) => setRefused(error.message),
            );
    };
    return (
        <Dialog open onClose={close} maxWidth="sm" fullWidth>
            <DialogTitle>“{name}” was wrong</DialogTitle>
            <DialogContent sx={{ display: 'grid', gap: 2 }}>
                <Typography>
                    {was ? (
                        <>
                            It was taken for <b>{say(was)}</b>.{' '}
                        </>
                    ) : null}
                    {measured
                        ? 'Its readings are set aside with the reason. Type the right one here, or leave it empty and measure it anew.'
                        : 'The old number is kept with the reason.'}
                </Typography>
                <TypedField
                    autoFocus
                    label="It is"
                    value={text}
                    understood={understood}
                    refused={refused}
                    typed={(typed) => {
                        setText(typed);
                        setRefused(null);
                    }}
                    onKeyDown={(event) => {
                        if (event.key === 'Enter') {
                            event.preventDefault();
                            send();
                        }
                    }}
                />
                <TextField
                    select
                    label="What went wrong"
                    value={cause}
                    onChange={(event) => setCause(event.target.value)}
                >
                    {CAUSES.map(([code, says]) => (
                        <MenuItem key={code} value={code}>
                            {says}
                        </MenuItem>
                    ))}
                </TextField>
                <TextField label="In your own words" value={note} onChange={(e) => setNote(e.target.value)} />
            </DialogContent>
            <DialogActions>
                <Button color="inherit" onClick={close}>
                    Leave it
                </Button>
                <Button variant="contained" onClick={send}>
                    See what it does
                </Button>
            </DialogActions>
        </Dialog>
    );
}
