import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { useHandedOn } from '../../shell/router';
import { useCatalogue } from '../../api/queries';
import type { TakeIn } from '../../api/types';
import { day } from '../../entry/day';
import { TextFact } from '../../entry/TextFact';
import { whoIsHere } from '../../people/me';
import { useJob } from '../../job/JobContext';
import { Framed } from '../../pictures/Framed';
import { Verdict } from '../../shell/Verdict';

/** Who is hurt if it fails. Some work waits for somebody named, who accepts it for just these reasons. */
export function Gates() {
    const { facts, save, editHead, answers } = useJob();
    const catalogue = useCatalogue();
    const take = facts.take_in;
    const none = take.gates_answered && take.gates.length === 0;
    const store = (of: (now: TakeIn) => string[]) =>
        void editHead((now) => ({ take_in: { gates: of(now.take_in), gates_answered: true } }));
    const list = catalogue.data?.gates ?? [];
    const [listed, setListed] = useState(false);
    // A job that was just begun asks this first.
    const fresh = useHandedOn<{ fresh?: boolean }>()?.fresh === true && !take.gates_answered;
    const question = useRef<HTMLParagraphElement>(null);
    const ready = list.length > 0;
    useEffect(() => {
        if (fresh && ready) {
            question.current?.focus();
        }
    }, [fresh, ready]);
    const turn = (code: string, on: boolean) =>
        store(({ gates }) => [...gates.filter((gate) => gate !== code), ...(on ? [code] : [])]);
    return (
        <Box component="section" sx={{ mt: 2.5 }}>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mb: 1 }}>
                <Typography variant="h2">Who is hurt if it fails?</Typography>
                {none && <Verdict kind="good">none of these</Verdict>}
            </Box>
            <TextFact
                label="What happens if it fails"
                value={take.if_it_fails}
                store={(if_it_fails) => save(null, '', { take_in: { if_it_fails } })}
            />
            <Box sx={{ mt: 1.5 }}>
                <Framed>
                    <Typography ref={question} tabIndex={-1} sx={{ mb: 1 }}>
                        Is it any of these:{' '}
                        {list.map((gate) => gate.name[0]?.toLowerCase() + gate.name.slice(1)).join('; ')}?
                        Then sizes wait for someone who may accept them.
                    </Typography>
                    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
                        <Button
                            variant={none ? 'contained' : 'outlined'}
                            aria-pressed={none}
                            onClick={() => {
                                setListed(false);
                                store(() => []);
                            }}
                        >
                            None of these
                        </Button>
                        <Button
                            variant={take.gates.length > 0 ? 'contained' : 'outlined'}
                            aria-expanded={listed || take.gates.length > 0}
                            onClick={() => setListed(!listed)}
                        >
                            One of these …
                        </Button>
                    </Box>
                    {(listed || take.gates.length > 0) && (
                        <Box
                            sx={{
                                display: 'grid',
                                mt: 1,
                                gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1fr' },
                            }}
                        >
                            {list.map((gate) => (
                                <FormControlLabel
                                    key={gate.code}
                                    control={
                                        <Checkbox
                                            checked={take.gates.includes(gate.code)}
                                            onChange={(_, on) => turn(gate.code, on)}
                                        />
                                    }
                                    label={gate.name}
                                    title={gate.says}
                                />
                            ))}
                        </Box>
                    )}
                    {take.gates.length > 0 && answers.withheld && <Accept />}
                    <Accepted />
                </Framed>
            </Box>
        </Box>
    );
}

/** Two things by hand before anything is accepted: a name, and a tick for each reason it is withheld. */
function Accept() {
    const { facts, editHead } = useJob();
    const catalogue = useCatalogue();
    const take = facts.take_in;
    const [by, setBy] = useState(whoIsHere.now().person?.name ?? '');
    const [capacity, setCapacity] = useState('');
    const [ticked, setTicked] = useState<string[]>([]);
    const [refused, setRefused] = useState<string | null>(null);
    const gates = (catalogue.data?.gates ?? []).filter((gate) => take.gates.includes(gate.code));
    const missing =
        by.trim() === ''
            ? 'Write who accepts responsibility.'
            : gates.some((gate) => !ticked.includes(gate.code))
              ? 'Tick each of the reasons.'
              : null;
    const accept = () => {
        if (missing !== null) {
            setRefused(missing);
            return;
        }
        const acceptance = {
            by: by.trim(),
            capacity: capacity.trim(),
            at: new Date().toISOString(),
            gates: take.gates,
        };
        editHead((now) => ({
            take_in: { acceptances: [...now.take_in.acceptances, acceptance] },
        })).catch((error: Error) => setRefused(error.message));
    };
    return (
        <Box sx={{ mt: 2, borderLeft: 5, borderColor: 'overlap.main', pl: 1.75 }}>
            <Typography sx={{ fontWeight: 700, mb: 1 }}>
                Sizes are withheld until somebody named accepts responsibility
            </Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1fr' },
                }}
            >
                <TextField
                    label="Who accepts responsibility"
                    disabled={whoIsHere.now().person !== null}
                    value={by}
                    onChange={(event) => setBy(event.target.value)}
                />
                <TextField
                    label="In what capacity, licence"
                    value={capacity}
                    onChange={(event) => setCapacity(event.target.value)}
                />
            </Box>
            {gates.map((gate) => (
                <FormControlLabel
                    key={gate.code}
                    sx={{ display: 'flex', mt: 0.5 }}
                    control={
                        <Checkbox
                            checked={ticked.includes(gate.code)}
                            onChange={(_, on) =>
                                setTicked((now) =>
                                    on ? [...now, gate.code] : now.filter((code) => code !== gate.code),
                                )
                            }
                        />
                    }
                    label={`I answer for it: ${gate.says}`}
                />
            ))}
            <Button variant="outlined" color="error" onClick={accept} sx={{ mt: 1 }}>
                Accept responsibility
            </Button>
            {refused !== null && missing !== null && (
                <Typography variant="body2" color="error" role="alert" sx={{ mt: 0.75 }}>
                    {refused}
                </Typography>
            )}
        </Box>
    );
}

/** The record of who accepted what. It is added to, never changed. */
function Accepted() {
    const { facts } = useJob();
    const catalogue = useCatalogue();
    return (
        <>
            {facts.take_in.acceptances.map((acceptance, i) => (
                <Typography key={i} variant="body2" sx={{ mt: 1.25 }}>
                    <b>{acceptance.by}</b>
                    {acceptance.capacity === '' ? '' : `, ${acceptance.capacity},`} accepted responsibility
                    {acceptance.at === null ? '' : ` on ${day(acceptance.at)}`} for:{' '}
                    {acceptance.gates
                        .map((code) => catalogue.data?.gates.find((gate) => gate.code === code)?.name ?? code)
                        .join('; ')}
                    .
                </Typography>
            ))}
        </>
    );
}
