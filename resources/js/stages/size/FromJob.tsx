import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { ReckoningFacts, Surface } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { LinkButton } from '../../shell/LinkButton';

/** By this name a sum gives the outline of a part. */
const OUTLINE = 'outline';

type Choice = { id: string; name: string };

/** Takes a surface's size for what would be typed: it follows when that size changes. */
export function FromJob({ label, take }: { label: string; take: (surface: string) => void }) {
    const { facts } = useJob();
    return (
        <Pick
            says="Take it from the job"
            label={`${label}: take it from the job`}
            choices={[...sizes(facts.surfaces), ...places(facts.surfaces)]}
            pick={take}
        />
    );
}

function sizes(surfaces: Surface[]): Choice[] {
    return surfaces.filter((s) => s.kind !== 'face').map(({ id, name }) => ({ id, name }));
}

/** Where a centre lies, of those of which that is said. */
function places(surfaces: Surface[]): Choice[] {
    return surfaces
        .filter((s) => s.x !== null || s.y !== null)
        .flatMap((s) => [
            { id: `${s.id}/x`, name: `${s.name}, its centre across` },
            { id: `${s.id}/y`, name: `${s.name}, its centre up` },
        ]);
}

/** The others of what is linked by name. */
export function without(links: Record<string, string>, name: string): Record<string, string> {
    return Object.fromEntries(Object.entries(links).filter(([key]) => key !== name));
}

/** What came out as the size a surface is to have. */
export function ToJob({
    path,
    facts,
    store,
}: {
    path: string;
    facts: ReckoningFacts;
    store: (of: (now: ReckoningFacts) => Partial<ReckoningFacts>) => Promise<unknown>;
}) {
    const job = useJob();
    const made = new Set(job.facts.parts.filter((p) => p.origin === 'make').map((p) => p.id));
    const given = facts.gives[path];
    const put = (surface: string | null) =>
        void store((now) => {
            const others = without(now.gives, path);
            return { gives: surface === null ? others : { ...others, [path]: surface } };
        });
    if (given !== undefined) {
        const name = job.facts.surfaces.find((s) => s.id === given)?.name ?? '';
        return (
            <LinkButton onClick={() => put(null)} aria-label={`${name} takes it; take that back`}>
                → {name} ×
            </LinkButton>
        );
    }
    return (
        <Pick
            says="Give it to a surface"
            label={`Give ${path.replaceAll('_', ' ')} to a surface`}
            choices={sizes(
                job.facts.surfaces.filter(
                    (s) =>
                        (made.has(s.part) || s.work != null) &&
                        ['bore', 'shaft', 'length', 'flat'].includes(s.kind),
                ),
            )}
            pick={put}
        />
    );
}

/** Which plate of the job these corners are the outline of. */
export function OutlineOf({
    facts,
    store,
}: {
    facts: ReckoningFacts;
    store: (of: (now: ReckoningFacts) => Partial<ReckoningFacts>) => Promise<unknown>;
}) {
    const job = useJob();
    const plates = job.facts.parts.filter((part) => part.form === 'plate');
    const given = facts.gives[OUTLINE] ?? '';
    return (
        <TextField
            select
            label="It is the outline of"
            value={given}
            helperText={
                given === ''
                    ? 'a plate of this job takes it, from the same zero as its holes'
                    : 'drawn so everywhere; where no holes are typed here, its own bores are taken'
            }
            onChange={(event) =>
                void store((now) => {
                    const others = without(now.gives, OUTLINE);
                    return {
                        gives:
                            event.target.value === '' ? others : { ...others, [OUTLINE]: event.target.value },
                    };
                })
            }
        >
            <MenuItem value="">none of the parts</MenuItem>
            {plates.map((part) => (
                <MenuItem key={part.id} value={part.id}>
                    {part.name}
                </MenuItem>
            ))}
        </TextField>
    );
}

function Pick({
    says,
    label,
    choices,
    pick,
}: {
    says: string;
    label: string;
    choices: Choice[];
    pick: (surface: string) => void;
}) {
    const [anchor, setAnchor] = useState<HTMLElement | null>(null);
    return (
        <>
            <LinkButton
                aria-label={label}
                onClick={(event) => setAnchor(event.currentTarget)}
                sx={{ justifySelf: 'start', fontWeight: 400 }}
            >
                {says}
            </LinkButton>
            <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
                {choices.map((choice) => (
                    <MenuItem
                        key={choice.id}
                        onClick={() => {
                            setAnchor(null);
                            pick(choice.id);
                        }}
                    >
                        {choice.name}
                    </MenuItem>
                ))}
                {choices.length === 0 && <MenuItem disabled>There is no surface to take it.</MenuItem>}
            </Menu>
        </>
    );
}
