import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useCatalogue } from '../../api/queries';
import type { Part, Surface } from '../../api/types';
import { ItIs } from '../../entry/ItIs';
import { NumberFact } from '../../entry/NumberFact';
import { DemandFact } from './DemandFact';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { HardnessFields } from './HardnessFields';
import { SizeFact } from './SizeFact';
import { WorkFact } from './WorkFact';

const ROLES: NonNullable<Surface['role']>[] = ['locates', 'carries', 'seals', 'turns', 'only clears'];
const CONDITIONS: NonNullable<Surface['condition']>[] = ['unworn', 'worn', 'damaged', 'repaired', 'missing'];
const SOURCES: NonNullable<Surface['source']>[] = [
    'guess',
    'eyeballed',
    'picture',
    'scaled',
    'similar part',
    'drawing',
    'catalogue',
];
const FINISHES: NonNullable<Surface['finish']>[] = [
    'turned',
    'bored',
    'reamed',
    'ground',
    'honed',
    'drilled',
];
/** Everything about one surface: what it is and does, its state, and the sizes to draw it by until it is measured. */
export function SurfaceEditor({ surface, part }: { surface: Surface; part: Part }) {
    const { save, answers } = useJob();
    const catalogue = useCatalogue();
    const kind = catalogue.data?.surface_kinds.find((k) => k.code === surface.kind);
    const criticality = catalogue.data?.criticalities.find((c) => c.code === surface.criticality);
    const store = (changes: Partial<Surface>) => save('surfaces', surface.id, changes);
    const mayLie =
        (kind?.sizes ?? []).some(({ field }) => field === 'x') &&
        (part.form === 'plate' || kind?.off === true);
    return (
        <Box sx={{ px: 1, pt: 1, pb: 2 }}>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    gridTemplateColumns: { xs: '1fr 1fr', sm: '1.4fr 1.2fr 1fr' },
                    alignItems: 'start',
                }}
            >
                <TextFact label="Name" value={surface.name} store={(name) => store({ name })} />
                <TextField
                    select
                    label="Kind"
                    value={catalogue.data ? surface.kind : ''}
                    onChange={(event) => void store({ kind: event.target.value as Surface['kind'] })}
                >
                    {catalogue.data?.surface_kinds.map((k) => (
                        <MenuItem key={k.code} value={k.code}>
                            {k.name}
                        </MenuItem>
                    ))}
                </TextField>
                <Choice
                    label="What it does"
                    value={surface.role}
                    options={ROLES}
                    choose={(role) => void store({ role })}
                />
                <TextField
                    select
                    label="How much it matters"
                    value={surface.criticality}
                    helperText={criticality?.says ?? ' '}
                    onChange={(event) =>
                        void store({
                            criticality: event.target.value as Surface['criticality'],
                            stations: [],
                            angles: [],
                        })
                    }
                    sx={{ gridColumn: { sm: 'span 2' } }}
                >
                    {catalogue.data?.criticalities.map((c) => (
                        <MenuItem key={c.code} value={c.code}>
                            {c.code}
                        </MenuItem>
                    ))}
                </TextField>
                <Choice
                    label="Condition"
                    value={surface.condition}
                    options={CONDITIONS}
                    choose={(condition) => void store({ condition })}
                />
            </Box>
            {part.origin !== 'make' && kind?.sized === true && <WorkFact surface={surface} />}
            {(part.origin === 'make' || (surface.work ?? null) !== null) && kind?.sized === true && (
                <DemandFact surface={surface} />
            )}
            <FormControlLabel
                control={<Checkbox checked={surface.datum} onChange={(_, datum) => void store({ datum })} />}
                label="Measure and hold from this surface (datum)"
            />
            <Typography variant="body2" color="textSecondary" sx={{ mb: 1.25 }}>
                {surface.source === null
                    ? 'Sizes: none noted. It is drawn in proportion only; a reading always comes first.'
                    : `Sizes as noted, ${surface.source}; a reading always comes first.`}
            </Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' },
                    alignItems: 'start',
                }}
            >
                {mayLie && <CentreOf surface={surface} />}
                {(kind?.sizes ?? [])
                    .filter(
                        ({ field }) => !['x', 'y'].includes(field) || (mayLie && surface.centred_on == null),
                    )
                    .map(({ field, label }) => (
                        <SizeFact key={field} surface={surface} field={field} label={label} />
                    ))}
                {answers.shaped.some((s) => s.surface === surface.id) && <ItIs surface={surface} />}
                {kind?.counted && (
                    <NumberFact label="How many" value={surface.count} store={(count) => store({ count })} />
                )}
                {kind?.angle !== null && kind?.angle !== undefined && (
                    <NumberFact
                        label={kind.angle}
                        value={surface.angle_deg}
                        store={(angle_deg) => store({ angle_deg })}
                    />
                )}
                {kind?.thread && (
                    <Choice
                        label="Hand"
                        value={surface.hand}
                        options={['right', 'left'] as const}
                        choose={(hand) => void store({ hand })}
                    />
                )}
                {kind?.finish === true && (
                    <>
                        <Choice
                            label="Finish"
                            value={surface.finish ?? null}
                            options={FINISHES}
                            choose={(finish) => void store({ finish })}
                        />
                        <NumberFact
                            label="Roughness Rz, µm"
                            value={surface.rz_um ?? null}
                            store={(rz_um) => store({ rz_um })}
                        />
                    </>
                )}
                <TextField
                    select
                    label="Done to it"
                    value={catalogue.data ? (surface.treated ?? '') : ''}
                    onChange={(event) =>
                        void store({
                            treated: (event.target.value || null) as Surface['treated'],
                        })
                    }
                >
                    <MenuItem value="">nothing said</MenuItem>
                    {catalogue.data?.treatments.map((t) => (
                        <MenuItem key={t.code} value={t.code}>
                            {t.name}
                        </MenuItem>
                    ))}
                </TextField>
                <Choice
                    label="These sizes are"
                    value={surface.source}
                    options={SOURCES}
                    choose={(source) => void store({ source })}
                />
            </Box>
            {(surface.treated != null || surface.hardness != null) && (
                <HardnessFields
                    key={surface.id}
                    given={surface.hardness ?? null}
                    store={(hardness) => store({ hardness })}
                />
            )}
        </Box>
    );
}

/** Whether its centre is its own or goes with another's, so that one number moves both. */
function CentreOf({ surface }: { surface: Surface }) {
    const { save, facts } = useJob();
    const others = facts.surfaces.filter(
        (other) =>
            other.part === surface.part &&
            other.id !== surface.id &&
            other.centred_on == null &&
            (other.x !== null || other.y !== null || other.id === surface.centred_on),
    );
    const follows = facts.surfaces.some((other) => other.centred_on === surface.id);
    if (follows || (others.length === 0 && surface.centred_on == null)) {
        return null;
    }
    return (
        <TextField
            select
            label="Its centre lies"
            value={surface.centred_on ?? ''}
            onChange={(event) =>
                void save('surfaces', surface.id, { centred_on: event.target.value || null })
            }
        >
            <MenuItem value="">at its own place</MenuItem>
            {others.map((other) => (
                <MenuItem key={other.id} value={other.id}>
                    with {other.name}
                </MenuItem>
            ))}
        </TextField>
    );
}

function Choice<T extends string>({
    label,
    value,
    options,
    choose,
}: {
    label: string;
    value: T | null;
    options: readonly T[];
    choose: (value: T | null) => void;
}) {
    return (
        <TextField
            select
            label={label}
            value={value ?? ''}
            onChange={(event) => choose(event.target.value === '' ? null : (event.target.value as T))}
        >
            <MenuItem value="">not said</MenuItem>
            {options.map((option) => (
                <MenuItem key={option} value={option}>
                    {option}
                </MenuItem>
            ))}
        </TextField>
    );
}
