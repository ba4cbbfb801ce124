import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import type { ReckoningFacts, Surface } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { LinkButton } from '../../shell/LinkButton';

/** Takes a surface's size for what would be typed: it follows when that size changes. */
export function FromJob({ label, take }: { label: string; take: (surface: string) => void }) {
    const { facts } = useJob();
    return (
        <Pick
            says="Take it from the job"
            label={`${label}: take it from the job`}
            surfaces={facts.surfaces.filter((s) => !['face'].includes(s.kind))}
            pick={take}
        />
    );
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
            surfaces={job.facts.surfaces.filter(
                (s) =>
                    (made.has(s.part) || s.work != null) &&
                    ['bore', 'shaft', 'length', 'flat'].includes(s.kind),
            )}
            pick={put}
        />
    );
}

function Pick({
    says,
    label,
    surfaces,
    pick,
}: {
    says: string;
    label: string;
    surfaces: Surface[];
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
                {surfaces.map((surface) => (
                    <MenuItem
                        key={surface.id}
                        onClick={() => {
                            setAnchor(null);
                            pick(surface.id);
                        }}
                    >
                        {surface.name}
                    </MenuItem>
                ))}
                {surfaces.length === 0 && <MenuItem disabled>There is no surface to take it.</MenuItem>}
            </Menu>
        </>
    );
}
