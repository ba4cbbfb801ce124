import { typed } from '../speak/language';
import { layJob } from '../offline/ask';
import { client, orRefuse } from './client';
import type { JobAnswers, JobPatch, JobState, PartsPatch } from './types';

/** As many as the server keeps the marks of. */
const KEPT = 4;

/** The states of each job this page was sent last, by their tags: what did not change since is not sent again. */
const held = new Map<string, Map<string, JobState>>();

client.use({
    onRequest({ request, schemaPath, params }) {
        const job = params.path?.['job'];
        if (typeof job === 'string' && schemaPath.startsWith('/api/jobs/{job}')) {
            const tag = [...(held.get(job)?.keys() ?? [])].at(-1);
            if (tag !== undefined && !request.headers.has('X-Known')) {
                request.headers.set('X-Known', tag);
            }
        }
        return request;
    },
});

/** The whole state of a job, from what was sent of it. */
export async function whole(job: string, sent: JobState | JobPatch): Promise<JobState> {
    if (!('base' in sent)) {
        return hold(job, sent);
    }
    const base = held.get(job)?.get(sent.base);
    if (base === undefined) {
        // What it builds on is gone from here: all of it, then.
        const all = orRefuse(
            await client.GET('/api/jobs/{job}', {
                params: { path: { job } },
                headers: { 'X-Known': '' },
            }),
        );
        return hold(job, all as JobState);
    }
    return hold(job, {
        version: sent.version,
        can_undo: sent.can_undo,
        can_redo: sent.can_redo,
        tag: sent.tag,
        facts: filled(base.facts, sent.facts),
        answers: filled(base.answers, sent.answers),
    });
}

/** The answers of a preview; nothing where what they build on is gone from here. */
export function wholeAnswers(
    job: string,
    sent: { base?: string; answers: JobAnswers | PartsPatch },
): JobAnswers | null {
    if (sent.base === undefined) {
        return sent.answers as JobAnswers;
    }
    const base = held.get(job)?.get(sent.base);
    return base === undefined ? null : filled(base.answers, sent.answers as PartsPatch);
}

function hold(job: string, state: JobState): JobState {
    typed(state.facts);
    layJob(job, state);
    if (state.tag !== undefined) {
        const states = held.get(job) ?? new Map<string, JobState>();
        states.delete(state.tag);
        states.set(state.tag, state);
        for (const tag of [...states.keys()].slice(0, -KEPT)) {
            states.delete(tag);
        }
        held.set(job, states);
    }
    return state;
}

/** What did not change stays the very same, so that nothing drawn from it is drawn anew. */
function filled<T extends object>(base: T, patch: PartsPatch): T {
    const lists = Object.entries(patch.lists).map(([name, { changed, gone }]) => {
        const before = (base as Record<string, { id: string }[]>)[name] ?? [];
        const away = new Set([...gone, ...changed.map((one) => one.is['id'])]);
        const things: unknown[] = before.filter((thing) => !away.has(thing.id));
        for (const { at, is } of changed) {
            things.splice(at, 0, is);
        }
        return [name, things] as const;
    });
    return { ...base, ...patch.set, ...Object.fromEntries(lists) };
}
