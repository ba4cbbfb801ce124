import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useSearchParams } from '../../shell/router';
import { useCatalogue } from '../../api/queries';
import type { TakeIn } from '../../api/types';
import { NumberFact } from '../../entry/NumberFact';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { Notes } from '../../shell/Notes';
import { Gates } from './Gates';
import { QuoteView } from './QuoteView';
import { LastTime } from './LastTime';
import { Waiting } from './Waiting';

/** What came in, who is hurt if it fails, and whether to take it. */
export function TakeInStage() {
    const [params, setParams] = useSearchParams();
    const view = params.get('view') === 'quote' ? 'quote' : 'job';
    return (
        <Box sx={{ maxWidth: 1000 }}>
            <ToggleButtonGroup
                exclusive
                value={view}
                aria-label="Take in"
                onChange={(_, next: string | null) =>
                    next !== null && setParams(next === 'quote' ? { view: 'quote' } : {}, { replace: true })
                }
                sx={{ mb: 1.5 }}
            >
                <ToggleButton value="job">What came in</ToggleButton>
                <ToggleButton value="quote">Should we take it?</ToggleButton>
            </ToggleButtonGroup>
            {view === 'quote' ? <QuoteView /> : <WhatCameIn />}
        </Box>
    );
}

function WhatCameIn() {
    const { facts, save, answers } = useJob();
    const catalogue = useCatalogue();
    const take = facts.take_in;
    const store = (changes: Partial<TakeIn>) => save(null, '', { take_in: changes });
    return (
        <>
            {answers.withheld && <Notes notes={answers.notes} />}
            <Box
                sx={{
                    display: 'grid',
                    gap: 2,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1fr' },
                    mt: 1.5,
                }}
            >
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
                <TextField
                    select
                    label="Why it failed"
                    value={take.cause ?? ''}
                    helperText={answers.survey.cause_says ?? ' '}
                    onChange={(event) =>
                        void store({
                            cause: event.target.value === '' ? null : (event.target.value as TakeIn['cause']),
                        })
                    }
                >
                    <MenuItem value="">not known yet</MenuItem>
                    {catalogue.data?.causes.map((cause) => (
                        <MenuItem key={cause.code} value={cause.code}>
                            {cause.code}
                        </MenuItem>
                    ))}
                </TextField>
                <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: '1fr 1fr', alignItems: 'start' }}>
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
            </Box>
            <Box
                sx={{
                    display: 'grid',
                    gap: 2,
                    mt: 1.25,
                    gridTemplateColumns: {
                        xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                        sm: 'repeat(4, 1fr)',
                    },
                    alignItems: 'start',
                }}
            >
                <NumberFact
                    label="Turns at, rev/min"
                    value={take.speed_rpm}
                    store={(speed_rpm) => store({ speed_rpm })}
                />
                <NumberFact
                    label="Runs at, °C"
                    value={take.runs_at_c}
                    store={(runs_at_c) => store({ runs_at_c })}
                />
                <TextFact label="Load" value={take.loads} store={(loads) => store({ loads })} />
                <TextFact
                    label="Surroundings"
                    value={take.surroundings}
                    store={(surroundings) => store({ surroundings })}
                />
            </Box>
            <LastTime />
            <Gates />
            <Box
                sx={{
                    display: 'grid',
                    gap: 2,
                    mt: 2.5,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1fr' },
                    alignItems: 'start',
                }}
            >
                <TextFact
                    label="Customer’s reference"
                    value={take.reference}
                    store={(reference) => store({ reference })}
                />
                <Waiting />
            </Box>
        </>
    );
}
