import type { JobAnswers, JobFacts, ListName } from '../api/types';

/** A change tried out and not stored. A null list is the head of the job. */
export interface Tried {
    list: ListName | null;
    thing: string;
    fact: Record<string, unknown>;
}

export interface WhatIf {
    changes: Tried[];
    /** The answers with the changes; null until they have come. */
    answers: JobAnswers | null;
}

/** One more change: what is changed twice counts as changed last. */
export function tried(changes: Tried[], next: Tried): Tried[] {
    const at = changes.findIndex((c) => c.list === next.list && c.thing === next.thing);
    const old = changes[at];
    return old === undefined
        ? [...changes, next]
        : changes.map((c, i) => (i === at ? { ...next, fact: { ...old.fact, ...next.fact } } : c));
}

/** The facts as they would be, for the fields on the screen. */
export function factsWith(facts: JobFacts, changes: Tried[]): JobFacts {
    let all: Record<string, unknown> = facts;
    for (const { list, thing, fact } of changes) {
        if (list === null) {
            all = { ...all, ...fact };
            continue;
        }
        const things = (all[list] ?? []) as { id: string }[];
        all = { ...all, [list]: things.map((t) => (t.id === thing ? { ...t, ...fact } : t)) };
    }
    return all as JobFacts;
}
