import {
    createContext,
    useCallback,
    useContext,
    useDeferredValue,
    useMemo,
    useRef,
    useState,
    useSyncExternalStore,
    type ReactNode,
} from 'react';
import { client, refusal, type Refused } from '../api/client';
import { wholeAnswers } from '../api/held';
import { factsAhead } from '../offline/ahead';
import { connection } from '../offline/connection';
import type { Saver } from '../saving/saver';
import type { JobAnswers, JobFacts, JobState, ListName, Say } from '../api/types';
import { factsWith, tried, type Tried, type WhatIf } from './whatIf';

/** What a preview says of what is being typed: as it was understood, by field, or why it can't be. */
export interface Previewed {
    understood: Record<string, { shown: Say; fine: Say | null }>;
    refused: Refused | null;
}

export type Shown = keyof JobAnswers;

/** Beside what a screen shows of its own: the make card, the stages, and the cautions. */
const ALWAYS: Shown[] = ['make', 'loops', 'notes', 'stages', 'next'];

interface JobHere {
    state: JobState;
    facts: JobFacts;
    /** What the screens show: the answers to what is being typed, or tried out, or to what is stored. */
    answers: JobAnswers;
    /** While something is tried out: the answers to what is stored, to be shown beside the others. */
    before: JobAnswers | null;
    saver: Saver;
    /** Stores a change, or only tries it out. */
    save: (list: ListName | null, thing: string, fact: Record<string, unknown> | null) => Promise<JobState>;
    /**
     * Stores a change of a list that is stored whole, made of the list as it will be once what waits to be sent has
     * arrived: two quick changes of two of its rows both count.
     */
    edit: <L extends WithRows>(
        list: L,
        thing: string,
        of: (now: NonNullable<JobFacts[L]>[number]) => Record<string, unknown>,
    ) => Promise<JobState>;
    /** The same of what belongs to the job itself. */
    editHead: (of: (now: JobFacts) => Record<string, unknown>) => Promise<JobState>;
    /** Stores several changes as one, or only tries them out. */
    saveAll: (changes: Tried[]) => Promise<void>;
    /** Shows the answers as they would be, of those that the screen shows; null goes back to what is stored. */
    preview: (
        list: ListName,
        thing: string,
        fact: Record<string, unknown> | null,
        shows: Shown[],
    ) => Promise<Previewed | null>;
    whatIf: { on: boolean; changed: number; start: () => void; keep: () => Promise<void>; drop: () => void };
}

/** The answers to what is being typed, of the job as it was when it was. */
interface Typed {
    version: number;
    answers: JobAnswers;
}

/** Lists of things that hold rows of their own. */
type WithRows = 'parts' | 'joints' | 'loops' | 'reckonings';

const PAST = 'This is how the job was: nothing is stored here. Bring it back first, or go back to now.';

const Context = createContext<JobHere | null>(null);
const First = createContext<JobHere | null>(null);

/** What is within shows what is being typed before all else does: the one number that somebody waits for. */
export function ShownFirst({ children }: { children: ReactNode }) {
    return <Context value={useContext(First)}>{children}</Context>;
}

export function JobProvider({
    state,
    saver,
    past = false,
    children,
}: {
    state: JobState;
    saver: Saver;
    /** As it was once: nothing is stored into it. */
    past?: boolean;
    children: ReactNode;
}) {
    const [previewed, setPreviewed] = useState<Typed | null>(null);
    const [trying, setTrying] = useState<WhatIf | null>(null);
    const running = useRef<AbortController | null>(null);
    const id = state.facts.id;
    const version = state.version;

    const ask = useCallback(
        (changes: Tried[], shows?: Shown[]) => {
            running.current?.abort();
            const abort = new AbortController();
            running.current = abort;
            return {
                signal: abort.signal,
                answer: client.POST('/api/jobs/{job}/preview', {
                    params: { path: { job: id } },
                    body: { changes, ...(shows && { shows: [...ALWAYS, ...shows] }) },
                    signal: abort.signal,
                }),
            };
        },
        [id],
    );
    const preview = useCallback(
        async (list: ListName, thing: string, fact: Record<string, unknown> | null, shows: Shown[]) => {
            if (fact === null || past) {
                running.current?.abort();
                setPreviewed(null);
                return null;
            }
            const asked = ask([...(trying?.changes ?? []), { list, thing, fact }], shows);
            const answer = await asked.answer.catch(() => null);
            if (answer === null || asked.signal.aborted) {
                return null;
            }
            const answers = answer.data ? wholeAnswers(id, answer.data) : null;
            setPreviewed(answers ? { version, answers } : null);
            return answer.data
                ? { understood: answer.data.understood, refused: null }
                : { understood: {}, refused: refusal(answer.error) };
        },
        [ask, id, past, trying, version],
    );
    const tryOut = useCallback(
        async (changes: Tried[]): Promise<JobState> => {
            const asked = ask(changes);
            const answer = await asked.answer.catch(() => null);
            if (answer !== null && !answer.data) {
                throw refusal(answer.error);
            }
            const answers = answer?.data ? wholeAnswers(id, answer.data) : null;
            if (answers && !asked.signal.aborted) {
                setPreviewed(null);
                setTrying({ changes, answers });
            }
            return state;
        },
        [ask, id, state],
    );
    const save = useCallback(
        (list: ListName | null, thing: string, fact: Record<string, unknown> | null) => {
            running.current?.abort();
            if (past) {
                return Promise.reject(new Error(PAST));
            }
            if (trying === null) {
                return saver.save(id, list, thing, fact);
            }
            const there =
                list === null ||
                (state.facts[list] ?? []).some((known: { id: string }) => known.id === thing);
            return fact === null || !there
                ? Promise.reject(
                      new Error(
                          'What if changes numbers that are there: keep it or drop it before you add or take away.',
                      ),
                  )
                : tryOut(tried(trying.changes, { list, thing, fact }));
        },
        [id, past, saver, state.facts, trying, tryOut],
    );
    const edit: JobHere['edit'] = useCallback(
        (list, thing, of) => {
            const now =
                trying === null ? (saver.ahead(id) ?? state.facts) : factsWith(state.facts, trying.changes);
            const known = (now[list] ?? []).find((one) => one.id === thing);
            return known === undefined
                ? Promise.reject(new Error('It was taken away in the meantime: add it again.'))
                : save(list, thing, of(known));
        },
        [id, save, saver, state.facts, trying],
    );
    const editHead: JobHere['editHead'] = useCallback(
        (of) => {
            const now =
                trying === null ? (saver.ahead(id) ?? state.facts) : factsWith(state.facts, trying.changes);
            return save(null, '', of(now));
        },
        [id, save, saver, state.facts, trying],
    );
    const saveAll = useCallback(
        async (changes: Tried[]) => {
            running.current?.abort();
            if (past) {
                throw new Error(PAST);
            }
            await (trying === null
                ? saver.saveAll(id, changes)
                : tryOut(changes.reduce(tried, trying.changes)));
        },
        [id, past, saver, trying, tryOut],
    );
    const whatIf = useMemo(
        () => ({
            on: trying !== null,
            changed: trying?.changes.length ?? 0,
            start: () => setTrying({ changes: [], answers: null }),
            drop: () => {
                running.current?.abort();
                setPreviewed(null);
                setTrying(null);
            },
            keep: async () => {
                if (trying !== null && trying.changes.length > 0) {
                    await saver.saveAll(id, trying.changes);
                }
                setPreviewed(null);
                setTrying(null);
            },
        }),
        [id, saver, trying],
    );
    const later = useDeferredValue(previewed);
    const away = useSyncExternalStore(connection.subscribe, connection.away);
    const waits = useSyncExternalStore(saver.subscribe, () => saver.waiting);
    const facts = useMemo(() => {
        if (trying !== null) {
            return factsWith(state.facts, trying.changes);
        }
        // What waits on this device is shown where it will stand; it is in no answer yet.
        return !past && away !== null && waits > 0
            ? factsAhead(state.facts, saver.waitingOf(id))
            : state.facts;
    }, [away, id, past, saver, state.facts, trying, waits]);
    const hereWith = useMemo(() => {
        const here = { state, facts, saver, save, edit, editHead, saveAll, preview, whatIf };
        return (typed: Typed | null): JobHere => {
            const answers =
                (typed?.version === version ? typed.answers : null) ?? trying?.answers ?? state.answers;
            const before = trying !== null && answers !== state.answers ? state.answers : null;
            return { ...here, answers, before };
        };
    }, [state, facts, version, trying, saver, save, edit, editHead, saveAll, preview, whatIf]);
    const first = useMemo(() => hereWith(previewed), [hereWith, previewed]);
    const rest = useMemo(() => hereWith(later), [hereWith, later]);
    return (
        <First value={first}>
            <Context value={rest}>{children}</Context>
        </First>
    );
}

export function useJob(): JobHere {
    const job = useContext(Context);
    if (!job) {
        throw new Error('useJob needs a JobProvider');
    }
    return job;
}
