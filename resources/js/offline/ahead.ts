import type { JobFacts } from '../api/types';
import type { Change } from '../saving/change';

/** What the shop will fill in of a new thing; enough to show it until then. */
const BLANK: Partial<Record<string, Record<string, unknown>>> = {
    readings: {
        station: '1',
        angle: '0',
        was: null,
        history: [],
        part_c: null,
        gauge_c: null,
        worn: null,
        set_aside: null,
        remark: null,
        taken_at: null,
        correction_mm: null,
        state: 'before',
        what: '',
        by: null,
    },
    cuts: {
        phase: 'only',
        dialled: null,
        part_c: null,
        set_aside: null,
        at: null,
        piece: 1,
        clean: true,
        by: null,
    },
    ticks: { at: null, remark: null, failed: false, by: null },
};

/** The facts with what waits on this device, while the shop can't be asked. */
export function factsAhead(facts: JobFacts, changes: Change[]): JobFacts {
    let all: Record<string, unknown> = facts;
    for (const { list, thing, fact } of changes) {
        if (list === null) {
            all = { ...all, ...merged(all, fact ?? {}) };
            continue;
        }
        const things = (all[list] ?? []) as { id: string }[];
        const blank = BLANK[list];
        if (fact === null) {
            all = { ...all, [list]: things.filter((one) => one.id !== thing) };
        } else if (things.some((one) => one.id === thing)) {
            all = { ...all, [list]: things.map((one) => (one.id === thing ? { ...one, ...fact } : one)) };
        } else if (blank !== undefined) {
            all = { ...all, [list]: [...things, { ...blank, ...fact, id: thing }] };
        }
    }
    return all as JobFacts;
}

/** A part of the head gets the fields that change; a list in it is replaced. */
function merged(all: Record<string, unknown>, fact: Record<string, unknown>): Record<string, unknown> {
    return Object.fromEntries(
        Object.entries(fact).map(([field, value]) => {
            const here = all[field];
            return [field, isPart(here) && isPart(value) ? { ...here, ...value } : value];
        }),
    );
}

function isPart(value: unknown): value is Record<string, unknown> {
    return typeof value === 'object' && value !== null && !Array.isArray(value);
}
