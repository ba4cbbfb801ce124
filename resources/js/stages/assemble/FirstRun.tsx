import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { NumberFact } from '../../entry/NumberFact';
import { readNumber } from '../../entry/number';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { LinkButton } from '../../shell/LinkButton';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';
import { useAssembly } from './useAssembly';

/** The first run: speed up in steps, how warm it gets, what is heard; go on only once it has settled. */
export function FirstRun() {
    const { answers } = useJob();
    const { say } = useSettings();
    const { assembly, change } = useAssembly();
    const run = answers.assembly.together.run;
    const [minute, setMinute] = useState('');
    const [rpm, setRpm] = useState('');
    const [celsius, setCelsius] = useState('');
    const [note, setNote] = useState('');
    const [refused, setRefused] = useState<string | null>(null);
    const first = useRef<HTMLInputElement>(null);
    const add = () => {
        const read = { minute: readNumber(minute), rpm: readNumber(rpm), celsius: readNumber(celsius) };
        for (const one of Object.values(read)) {
            if ('refused' in one) {
                setRefused(one.refused);
                return;
            }
        }
        const at = 'value' in read.minute ? read.minute.value : null;
        if (at === null) {
            setRefused('Say after how many minutes.');
            return;
        }
        const row = {
            minute: at,
            rpm: 'value' in read.rpm ? read.rpm.value : null,
            celsius: 'value' in read.celsius ? read.celsius.value : null,
            note: note.trim(),
        };
        setRefused(null);
        change((now) => ({ runs: [...now.runs, row] })).then(
            () => {
                setMinute('');
                setCelsius('');
                setNote('');
                first.current?.focus();
            },
            (error: Error) => setRefused(error.message),
        );
    };
    const rows = assembly.runs.map((row, at) => ({ ...row, at })).sort((a, b) => a.minute - b.minute);
    return (
        <Box component="section" aria-label="First run" sx={{ mt: 2 }}>
            <Typography variant="h2" sx={{ borderBottom: 1, borderColor: 'divider', pb: 0.5 }}>
                First run
            </Typography>
            <Typography variant="body2" sx={{ my: 0.5 }}>
                Guards on, nobody in line with what turns. Slowest speed first; a hand on the housing, an ear
                to it: a knock, a squeal, a smell, and it stops. Up a step only once it no longer gets warmer.
            </Typography>
            {run && (
                <Box sx={{ maxWidth: 720 }}>
                    <Verdict kind={run.good ? 'good' : 'usable'}>{say(run.says)}</Verdict>
                    <Box sx={{ mt: 0.75 }}>
                        <Framed>
                            <DrawingView drawing={run.picture} />
                        </Framed>
                    </Box>
                </Box>
            )}
            {rows.map((row) => (
                <Box key={row.at} sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
                    <Typography>
                        {row.minute} min{row.rpm === null ? '' : `, ${row.rpm} rev/min`}
                        {row.celsius === null ? '' : `, ${row.celsius} °C`}
                        {row.note === '' ? '' : `: ${row.note}`}
                    </Typography>
                    <LinkButton
                        size="small"
                        aria-label={`Take it out: seen at ${row.minute} min`}
                        onClick={() =>
                            void change((now) => ({ runs: now.runs.filter((_, i) => i !== row.at) }))
                        }
                    >
                        Take it out
                    </LinkButton>
                </Box>
            ))}
            <Box
                component="form"
                onSubmit={(event) => {
                    event.preventDefault();
                    add();
                }}
                sx={{
                    display: 'grid',
                    gap: 1.25,
                    mt: 1,
                    alignItems: 'start',
                    gridTemplateColumns: {
                        xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                        sm: '6.875rem 7.5rem 6.875rem 1fr auto',
                    },
                }}
            >
                <TextField
                    label="After, min"
                    value={minute}
                    inputRef={first}
                    error={refused !== null}
                    helperText={refused ?? ' '}
                    onChange={(event) => {
                        setMinute(event.target.value);
                        setRefused(null);
                    }}
                />
                <TextField label="rev/min" value={rpm} onChange={(event) => setRpm(event.target.value)} />
                <TextField
                    label="Warm, °C"
                    value={celsius}
                    onChange={(event) => setCelsius(event.target.value)}
                />
                <TextField
                    label="Seen, heard, smelt"
                    value={note}
                    slotProps={{ htmlInput: { maxLength: 2000 } }}
                    onChange={(event) => setNote(event.target.value)}
                />
                <Button type="submit" variant="outlined" color="inherit">
                    Note it
                </Button>
            </Box>
            <Box sx={{ width: 240 }}>
                <NumberFact
                    label="No warmer than, °C"
                    value={assembly.limit_c}
                    store={(limit_c) => change(() => ({ limit_c }))}
                />
            </Box>
        </Box>
    );
}
