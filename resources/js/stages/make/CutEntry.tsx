import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useRef, useState } from 'react';
import { newId } from '../../api/client';
import type { JobState, MakingAnswer } from '../../api/types';
import { readNumber } from '../../entry/number';
import { ReadWith } from '../../entry/ReadWith';
import { USUAL_INSTRUMENT } from '../../entry/usualInstrument';
import { useKept } from '../../entry/useKept';
import { ofField, type Understood } from '../../entry/understood';
import { useUnderstood } from '../../entry/useUnderstood';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';
import { TypedField } from '../../entry/TypedField';

/** One line of the cut log: what was dialled, and the size after it. The first line is the size before any cut. */
export function CutEntry({ making, logged }: { making: MakingAnswer; logged?: (state: JobState) => void }) {
    const { facts, save, preview } = useJob();
    const { typing } = useSettings();
    const last = facts.cuts.filter((c) => c.surface === making.surface).at(-1);
    const name = making.piece === 1 ? making.key : `${making.key}:${making.piece}`;
    const usual = USUAL_INSTRUMENT[making.measured_as] ?? 'calliper';
    const [tool, setTool] = useState<string | null>(null);
    const [dialled, setDialled] = useKept(`dialled:${name}`, '');
    const [after, setAfter] = useKept(`after:${name}`, '');
    const [warm, setWarm] = useState('');
    const [clean, setClean] = useState(true);
    const [refused, setRefused] = useState<{ field: string; says: string } | null>(null);
    const [id, setId] = useState(newId);
    const size = useRef<HTMLInputElement>(null);
    const first = making.rows.length === 0;
    const [saidAfter, setSaidAfter] = useState<Understood | null>(null);
    const understoodAfter = saidAfter?.text === after ? saidAfter : null;
    const understoodDial = useUnderstood(dialled, typing);
    const instrument = tool ?? last?.instrument ?? usual;
    const celsius = readNumber(warm);
    const fact = (typed: string) => ({
        surface: making.surface,
        phase: making.phase,
        piece: making.piece,
        clean,
        dialled: first || dialled.trim() === '' ? null : { typed: dialled, unit: typing },
        after: { typed, unit: typing },
        instrument,
        part_c: 'refused' in celsius ? null : celsius.value,
        at: new Date().toISOString(),
    });
    const tell = async (typed: string) => {
        const said = await preview('cuts', id, typed.trim() === '' ? null : fact(typed), ['making']);
        if (said !== null) {
            setSaidAfter({ text: typed, ...ofField(said, 'after') });
        }
    };
    const store = () => {
        if (after.trim() === '') {
            size.current?.focus();
            return;
        }
        if ('refused' in celsius) {
            setRefused({ field: 'part_c', says: celsius.refused });
            return;
        }
        // The fields are free at once for the next cut; what is refused comes back into them.
        const sent = { id, dialled, after };
        setId(newId());
        setDialled('');
        setAfter('');
        setRefused(null);
        setClean(true);
        save('cuts', sent.id, fact(after))
            .then((state) => logged?.(state))
            .catch((error: Error & { field?: string }) => {
                setId(sent.id);
                setDialled((now) => (now === '' ? sent.dialled : now));
                setAfter((now) => (now === '' ? sent.after : now));
                setRefused({ field: error.field ?? '', says: error.message });
            });
    };
    return (
        <Box
            component="form"
            onSubmit={(event) => {
                event.preventDefault();
                store();
            }}
            sx={{
                display: 'grid',
                gap: 1.25,
                mt: 1.5,
                gridTemplateColumns: {
                    xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                    sm: '10.625rem 11.875rem minmax(9.375rem, 1fr) 7.5rem auto',
                },
                alignItems: 'start',
            }}
        >
            <TypedField
                label="Dialled, on diameter"
                value={dialled}
                disabled={first}
                typed={setDialled}
                understood={understoodDial}
                refused={refused?.field.endsWith('dialled') ? refused.says : null}
                says={first ? 'first: the size it has' : ' '}
            />
            <TypedField
                label={first ? 'Size now' : 'Size after the cut'}
                value={after}
                inputRef={size}
                typed={(typed) => {
                    setAfter(typed);
                    setRefused(null);
                    void tell(typed);
                }}
                understood={understoodAfter}
                refused={refused !== null && !refused.field.endsWith('dialled') ? refused.says : null}
            />
            <ReadWith label="Read with" reads={making.measured_as} value={instrument} choose={setTool} />
            <TextField
                label="Part, °C"
                value={warm}
                placeholder={String(facts.shop.temperature_c)}
                onChange={(event) => setWarm(event.target.value)}
            />
            <Button type="submit" variant="contained">
                Log it
            </Button>
            <FormControlLabel
                control={<Checkbox checked={!clean} onChange={(_, not) => setClean(!not)} />}
                label="Not clean all round yet"
                sx={{ gridColumn: '1 / -1', mt: -1.5 }}
            />
        </Box>
    );
}
