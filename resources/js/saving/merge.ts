import type { JobState } from '../api/types';
import type { Change } from './change';

type Facts = Record<string, unknown>;

/** The thing a change is about, as it stands; null where it is not there. */
export function thing(state: JobState, change: Change): Facts | null {
    if (change.list === null) {
        return state.facts as unknown as Facts;
    }
    const things = state.facts[change.list] as { id: string }[] | undefined;
    return (things?.find((one) => one.id === change.thing) as unknown as Facts | undefined) ?? null;
}

/** What a change touches, as it stands: of a thing taken away all of it, else only the fields that change. */
export function touched(state: JobState, change: Change): Facts | null {
    const here = thing(state, change);
    if (here === null || change.fact === null) {
        return here;
    }
    return Object.fromEntries(
        Object.keys(change.fact).map((key) => [key, nested(here[key], change.fact?.[key], change.list)]),
    );
}

export function touchedText(state: JobState, change: Change): string {
    return JSON.stringify(touched(state, change));
}

/** Of an object in the head of a job (take-in, shop) only the fields that change count. */
function nested(here: unknown, mine: unknown, list: string | null): unknown {
    if (
        list !== null ||
        typeof here !== 'object' ||
        here === null ||
        typeof mine !== 'object' ||
        mine === null
    ) {
        return here;
    }
    if (Array.isArray(here) || Array.isArray(mine)) {
        return here;
    }
    return Object.fromEntries(Object.keys(mine).map((key) => [key, (here as Facts)[key]]));
}

/** Whether something newer stands where a change would go. A change without a base (an older version kept it) goes on top. */
export function goneOn(state: JobState, change: Change): boolean {
    return change.was !== null && change.was !== touchedText(state, change);
}

export function isAboutTheSame(a: Change, b: Change): boolean {
    return a.job === b.job && a.list === b.list && a.thing === b.thing;
}
