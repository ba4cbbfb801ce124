import { client, Refused, refusal } from '../api/client';
import { whole } from '../api/held';
import type { JobState } from '../api/types';
import type { Change } from './change';

export type Sent =
    | { is: 'stored'; state: JobState }
    | { is: 'conflict'; current: JobState }
    | { is: 'refused'; error: Refused }
    /** It may go through later: no answer, or the shop can't store just now. */
    | { is: 'later' }
    /** Something is wrong with this very change there. */
    | { is: 'broken'; error: Refused };

/** Sends one change on a version of its job. */
export async function send(change: Change, version: number): Promise<Sent> {
    const { job, list, thing, fact, request } = change;
    try {
        const answer =
            list === null
                ? await client.PATCH('/api/jobs/{job}', {
                      params: { path: { job } },
                      body: { version, request, fact: fact ?? {} },
                  })
                : fact === null
                  ? await client.DELETE('/api/jobs/{job}/{list}/{thing}', {
                        params: { path: { job, list, thing } },
                        body: { version, request },
                    })
                  : await client.PUT('/api/jobs/{job}/{list}/{thing}', {
                        params: { path: { job, list, thing } },
                        body: { version, request, fact },
                    });
        if (answer.data) {
            return { is: 'stored', state: await whole(job, answer.data) };
        }
        const status = answer.response.status;
        if (status === 409) {
            return { is: 'conflict', current: (answer.error as { current: JobState }).current };
        }
        if (status === 401) {
            // It waits for whoever typed it to sign in again.
            return { is: 'later' };
        }
        if (status === 500) {
            return { is: 'broken', error: refusal(answer.error) };
        }
        return status > 500 ? { is: 'later' } : { is: 'refused', error: refusal(answer.error) };
    } catch {
        return { is: 'later' };
    }
}

/** The job as it stands; a refusal where it is gone, nothing where no answer comes. */
export async function fetchJob(job: string): Promise<JobState | Refused | null> {
    try {
        const answer = await client.GET('/api/jobs/{job}', { params: { path: { job } } });
        if (answer.data) {
            return await whole(job, answer.data);
        }
        return answer.response.status >= 500 || answer.response.status === 401 ? null : refusal(answer.error);
    } catch {
        return null;
    }
}
