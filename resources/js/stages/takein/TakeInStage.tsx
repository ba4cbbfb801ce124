import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useCatalogue } from '../../api/queries';
import type { TakeIn } from '../../api/types';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { Framed } from '../../pictures/Framed';
import { Notes } from '../../shell/Notes';
import { Verdict } from '../../shell/Verdict';

/** What came in, what it does, and who is hurt if it fails. */
export function TakeInStage() {
    const { facts, save, answers } = useJob();
    const take = facts.take_in;
    const store = (changes: Partial<TakeIn>) => save(null, '', { take_in: changes });
    return (
        <Box sx={{ maxWidth: 1000 }}>
            <Typography variant="h1" sx={{ mb: 1.75 }}>
                What came in?
            </Typography>
            <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
                <TextFact
                    label="Machine"
                    value={facts.machine}
                    store={(machine) => save(null, '', { machine })}
                />
                <TextFact
                    label="Part to make"
                    value={facts.part}
                    store={(part) => save(null, '', { part })}
                />
                <TextFact
                    label="What failed"
                    multiline
                    minRows={2}
                    value={take.failed}
                    store={(failed) => store({ failed })}
                />
                <TextFact
                    label="What it does"
                    multiline
                    minRows={2}
                    value={take.does}
                    store={(does) => store({ does })}
                />
                <TextFact
                    label="How many"
                    value={String(take.quantity)}
                    slotProps={{ htmlInput: { inputMode: 'numeric' } }}
                    store={(text) =>
                        /^[1-9]\d{0,4}$/.test(text.trim())
                            ? store({ quantity: Number(text) })
                            : Promise.reject(new Error('How many is a whole number, 1 or more.'))
                    }
                />
                <TextFact
                    label="Wanted by"
                    type="date"
                    value={take.wanted_by ?? ''}
                    slotProps={{ inputLabel: { shrink: true } }}
                    store={(text) => store({ wanted_by: text === '' ? null : text })}
                />
            </Box>
            <Safety />
            {answers.withheld && <Notes notes={answers.notes} />}
        </Box>
    );
}

function Safety() {
    const { facts, save } = useJob();
    const catalogue = useCatalogue();
    const take = facts.take_in;
    const store = (changes: Partial<TakeIn>) => void save(null, '', { take_in: changes });
    const turn = (code: string, on: boolean) => {
        const gates = on ? [...take.gates, code] : take.gates.filter((gate) => gate !== code);
        store({ gates, gates_answered: true });
    };
    return (
        <Box component="section" sx={{ mt: 2.5 }}>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mb: 1 }}>
                <Typography variant="h2">Who is hurt if it fails?</Typography>
                {take.gates_answered && take.gates.length === 0 && (
                    <Verdict kind="good">none of these</Verdict>
                )}
            </Box>
            <TextFact
                label="What happens if it fails"
                value={take.if_it_fails}
                store={(if_it_fails) => save(null, '', { take_in: { if_it_fails } })}
            />
            <Box sx={{ mt: 1.5 }}>
                <Framed>
                    <Typography sx={{ mb: 0.5 }}>
                        Is it any of these? Then sizes wait for someone who may accept them.
                    </Typography>
                    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
                        {catalogue.data?.gates.map((gate) => (
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
                    <Button
                        variant={take.gates_answered && take.gates.length === 0 ? 'contained' : 'outlined'}
                        onClick={() => store({ gates: [], gates_answered: true })}
                        sx={{ mt: 1 }}
                    >
                        None of these
                    </Button>
                    {take.gates.length > 0 && (
                        <Box sx={{ mt: 2, maxWidth: 460 }}>
                            <TextFact
                                label="Who accepts responsibility (a named, licensed person)"
                                value={take.accepted_by ?? ''}
                                store={(text) =>
                                    save(null, '', {
                                        take_in: { accepted_by: text.trim() === '' ? null : text },
                                    })
                                }
                            />
                        </Box>
                    )}
                </Framed>
            </Box>
        </Box>
    );
}
