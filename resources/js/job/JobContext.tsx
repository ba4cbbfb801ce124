import { createContext, useCallback, useContext, useMemo, useRef, useState, type ReactNode } from 'react';
import { client } from '../api/client';
import type { Saver } from '../api/saver';
import type { JobAnswers, JobFacts, JobState, ListName } from '../api/types';

interface JobHere {
    state: JobState;
    facts: JobFacts;
    /** What the screens show: the answers to what is being typed, or to what is stored. */
    answers: JobAnswers;
    saver: Saver;
    save: (list: ListName | null, thing: string, fact: Record<string, unknown> | null) => Promise<JobState>;
    /** Shows the answers as they would be; null goes back to what is stored. */
    preview: (list: ListName, thing: string, fact: Record<string, unknown> | null) => void;
}

const Context = createContext<JobHere | null>(null);

export function JobProvider({
    state,
    saver,
    children,
}: {
    state: JobState;
    saver: Saver;
    children: ReactNode;
}) {
    const [previewed, setPreviewed] = useState<{ version: number; answers: JobAnswers } | null>(null);
    const running = useRef<AbortController | null>(null);
    const id = state.facts.id;
    const version = state.version;

    const preview = useCallback(
        (list: ListName, thing: string, fact: Record<string, unknown> | null) => {
            running.current?.abort();
            if (fact === null) {
                setPreviewed(null);
                return;
            }
            const abort = new AbortController();
            running.current = abort;
            void client
                .POST('/api/jobs/{job}/preview', {
                    params: { path: { job: id } },
                    body: { list, thing, fact },
                    signal: abort.signal,
                })
                .then((answer) => {
                    if (!abort.signal.aborted) {
                        setPreviewed(answer.data ? { version, answers: answer.data.answers } : null);
                    }
                })
                .catch(() => undefined);
        },
        [id, version],
    );
    const save = useCallback(
        (list: ListName | null, thing: string, fact: Record<string, unknown> | null) => {
            running.current?.abort();
            return saver.save(id, list, thing, fact);
        },
        [id, saver],
    );
    const answers = previewed && previewed.version === version ? previewed.answers : state.answers;
    const value = useMemo(
        () => ({ state, facts: state.facts, answers, saver, save, preview }),
        [state, answers, saver, save, preview],
    );
    return <Context value={value}>{children}</Context>;
}

export function useJob(): JobHere {
    const job = useContext(Context);
    if (!job) {
        throw new Error('useJob needs a JobProvider');
    }
    return job;
}
