import { useEffect, useState } from 'react';
import { client, refusal } from '../api/client';
import type { Say, Unit } from '../api/types';
import type { Understood } from './understood';

/** Outside a job, where nothing is previewed: what a typed length is understood as, in both units, or why it can't be read. */
export function useUnderstood(text: string, unit: Unit, signed = false, reading = false): Understood | null {
    const [understood, setUnderstood] = useState<Understood | null>(null);
    useEffect(() => {
        if (text.trim() === '') {
            return;
        }
        const abort = new AbortController();
        client
            .POST('/api/sums/{name}', {
                params: { path: { name: 'length' } },
                body: { text, unit, signed, reading },
                signal: abort.signal,
            })
            .then((answer) => {
                if (abort.signal.aborted) {
                    return;
                }
                const data = answer.data as { shown?: Say; fine?: Say | null } | undefined;
                setUnderstood({
                    text,
                    shown: data?.shown ?? null,
                    fine: data?.fine ?? null,
                    refused: answer.error === undefined ? null : refusal(answer.error).message,
                });
            })
            .catch(() => undefined);
        return () => abort.abort();
    }, [text, unit, signed, reading]);
    return understood?.text === text ? understood : null;
}
