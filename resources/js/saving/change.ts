import type { JobState, ListName } from '../api/types';

/** One change on its way to the store. A null list changes the head of the job; a null fact takes the thing away. */
export interface Change {
    request: string;
    job: string;
    list: ListName | null;
    thing: string;
    fact: Record<string, unknown> | null;
    /** What stood there when it was typed, as text: it goes on top of that and of nothing newer. */
    was: string | null;
    /** When it was typed. */
    at: string;
    /** Whose it is, by id: it is stored under no other name. Nobody's where nobody signs in. */
    who: string | null;
}

/** A change that was not stored, and why; kept until somebody decided. */
export interface Unsettled {
    change: Change;
    why: string;
    /** Where it was changed elsewhere meanwhile: what stands there now. */
    theirs: Record<string, unknown> | null;
    kind: 'refused' | 'clash';
}

export interface Waiting {
    change: Change;
    resolve: (state: JobState) => void;
    reject: (error: Error) => void;
    /** Nobody waits for it any more: it was typed before this page was loaded. */
    orphan: boolean;
}
