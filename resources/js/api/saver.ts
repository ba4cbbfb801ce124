import type { QueryClient } from '@tanstack/react-query';
import { client, newId, Refused, refusal } from './client';
import { jobKey } from './queries';
import type { JobState, ListName, Unit } from './types';

/** One change on its way to the store. A null list changes the head of the job; a null fact takes the thing away. */
interface Change {
    request: string;
    job: string;
    list: ListName | null;
    thing: string;
    fact: Record<string, unknown> | null;
}

export interface Wrong {
    surface?: string;
    loop?: string;
    /** Of the length in its loop. */
    place?: number;
    right: { typed: string; unit: Unit } | null;
    cause: string;
    note: string;
}

export type SaveStatus = 'saved' | 'saving' | 'failed';

export interface Clash {
    mine: Change;
    current: JobState;
}

interface Waiting {
    change: Change;
    resolve: (state: JobState) => void;
    reject: (error: Error) => void;
}

const STORE = 'oldpart-fit-unsaved';
const PAUSES = [500, 1000, 2000, 4000, 8000];

/**
 * Sends changes one after the other. What could not be sent is kept in this browser and tried again, also after a
 * reload; each carries an id of its own, so that one that did arrive is not carried out twice.
 */
export class Saver {
    private queue: Waiting[] = [];
    private busy = false;
    private tries = 0;
    private listeners = new Set<() => void>();
    private channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('oldpart-fit');
    status: SaveStatus = 'saved';
    clash: Clash | null = null;

    constructor(private readonly queries: QueryClient) {
        if (this.channel) {
            this.channel.onmessage = (event: MessageEvent<string>) => {
                void this.queries.invalidateQueries({ queryKey: jobKey(event.data) });
                void this.queries.invalidateQueries({ queryKey: ['bench'] });
            };
        }
        for (const change of this.stored()) {
            this.queue.push({ change, resolve: () => undefined, reject: () => undefined });
        }
        void this.run();
    }

    subscribe = (listener: () => void): (() => void) => {
        this.listeners.add(listener);
        return () => this.listeners.delete(listener);
    };

    save(
        job: string,
        list: ListName | null,
        thing: string,
        fact: Record<string, unknown> | null,
    ): Promise<JobState> {
        return new Promise((resolve, reject) => {
            this.queue.push({ change: { request: newId(), job, list, thing, fact }, resolve, reject });
            this.keep();
            void this.run();
        });
    }

    async undo(job: string): Promise<void> {
        const state = this.queries.getQueryData<JobState>(jobKey(job));
        if (!state || this.queue.length > 0) {
            return;
        }
        const answer = await client.POST('/api/jobs/{job}/undo', {
            params: { path: { job } },
            body: { version: state.version, request: newId() },
        });
        if (answer.data) {
            this.take(job, answer.data);
        } else {
            await this.queries.invalidateQueries({ queryKey: jobKey(job) });
        }
    }

    /** A number was wrong: kept with the right one and the reason, as one change. */
    async numberWasWrong(job: string, wrong: Wrong): Promise<void> {
        const body = { ...wrong, id: newId(), request: newId() };
        await this.untilCurrent(job, (version) =>
            client.POST('/api/jobs/{job}/mistakes', {
                params: { path: { job } },
                body: { ...body, version },
            }),
        );
    }

    /** A photograph: the picture itself is sent, so it waits neither in line nor in this browser. */
    async addPhoto(job: string, picture: Blob, surface: string | null): Promise<void> {
        const [photo, request] = [newId(), newId()];
        await this.untilCurrent(job, (version) =>
            client.PUT('/api/jobs/{job}/pictures/{photo}', {
                params: {
                    path: { job, photo },
                    query: { version, request, ...(surface === null ? {} : { surface }) },
                },
                body: picture as unknown as string,
                bodySerializer: (body) => body as unknown as Blob,
                headers: { 'Content-Type': picture.type === '' ? 'application/octet-stream' : picture.type },
            }),
        );
    }

    /** Sends a change on the version that is known here; where the job went on meanwhile, on the new one. */
    private async untilCurrent(
        job: string,
        send: (version: number) => Promise<{ data?: JobState; error?: unknown; response: Response }>,
    ): Promise<void> {
        for (let tries = 0; ; tries++) {
            const version = (this.queries.getQueryData<JobState>(jobKey(job)) ?? (await this.fetch(job)))
                .version;
            const answer = await send(version);
            if (answer.data) {
                this.take(job, answer.data);
                return;
            }
            if (answer.response.status !== 409 || tries > 3) {
                throw refusal(answer.error);
            }
            this.queries.setQueryData(jobKey(job), (answer.error as { current: JobState }).current);
        }
    }

    /** After a clash: send mine again on top of what is there, or leave it. */
    settle(keepMine: boolean): void {
        const clash = this.clash;
        this.clash = null;
        if (clash && keepMine) {
            void this.save(clash.mine.job, clash.mine.list, clash.mine.thing, clash.mine.fact);
        }
        this.tell();
    }

    private async run(): Promise<void> {
        if (this.busy) {
            return;
        }
        this.busy = true;
        while (this.queue.length > 0) {
            this.set(this.tries > 0 ? 'failed' : 'saving');
            const waiting = this.queue[0];
            if (!waiting) {
                break;
            }
            const sent = await this.send(waiting);
            if (!sent) {
                this.set('failed');
                await new Promise((done) =>
                    setTimeout(done, PAUSES[Math.min(this.tries, PAUSES.length - 1)]),
                );
                this.tries++;
            }
        }
        this.busy = false;
        this.set('saved');
    }

    /** True when the change is done with: stored, refused, or in a clash. False to try again. */
    private async send(waiting: Waiting): Promise<boolean> {
        const { change } = waiting;
        const base = this.queries.getQueryData<JobState>(jobKey(change.job));
        try {
            const version = base?.version ?? (await this.fetch(change.job)).version;
            const answer = await this.call(change, version);
            if (answer.data) {
                this.done();
                this.take(change.job, answer.data);
                waiting.resolve(answer.data);
                return true;
            }
            if (answer.response.status === 409) {
                return this.meet(waiting, base, (answer.error as { current: JobState }).current);
            }
            if (answer.response.status >= 500) {
                return false;
            }
            this.done();
            waiting.reject(refusal(answer.error));
            return true;
        } catch (error) {
            if (error instanceof Refused) {
                this.done();
                waiting.reject(error);
                return true;
            }
            return false;
        }
    }

    private call(change: Change, version: number) {
        const { job, list, thing, fact, request } = change;
        if (list === null) {
            return client.PATCH('/api/jobs/{job}', {
                params: { path: { job } },
                body: { version, request, fact: fact ?? {} },
            });
        }
        const path = { job, list, thing };
        return fact === null
            ? client.DELETE('/api/jobs/{job}/{list}/{thing}', {
                  params: { path },
                  body: { version, request },
              })
            : client.PUT('/api/jobs/{job}/{list}/{thing}', {
                  params: { path },
                  body: { version, request, fact },
              });
    }

    /** Somebody else changed the job. Where they did not touch the same thing, ours simply goes on top. */
    private meet(waiting: Waiting, base: JobState | undefined, current: JobState): boolean {
        const { change } = waiting;
        this.queries.setQueryData(jobKey(change.job), current);
        const mine = JSON.stringify(thingOf(base, change));
        if (base === undefined || mine === JSON.stringify(thingOf(current, change))) {
            return true;
        }
        this.done();
        this.clash = { mine: change, current };
        waiting.reject(new Refused('clash', '', 'This was changed elsewhere in the meantime.'));
        this.tell();
        return true;
    }

    private async fetch(job: string): Promise<JobState> {
        const answer = await client.GET('/api/jobs/{job}', { params: { path: { job } } });
        if (!answer.data) {
            throw refusal(answer.error);
        }
        this.queries.setQueryData(jobKey(job), answer.data);
        return answer.data;
    }

    private take(job: string, state: JobState): void {
        this.queries.setQueryData(jobKey(job), state);
        void this.queries.invalidateQueries({ queryKey: ['bench'] });
        this.channel?.postMessage(job);
    }

    private done(): void {
        this.queue.shift();
        this.tries = 0;
        this.keep();
    }

    private set(status: SaveStatus): void {
        if (this.status !== status) {
            this.status = status;
            this.tell();
        }
    }

    private tell(): void {
        for (const listener of this.listeners) {
            listener();
        }
    }

    private keep(): void {
        localStorage.setItem(STORE, JSON.stringify(this.queue.map((w) => w.change)));
    }

    private stored(): Change[] {
        try {
            const kept: unknown = JSON.parse(localStorage.getItem(STORE) ?? '[]');
            return Array.isArray(kept) ? (kept as Change[]) : [];
        } catch {
            return [];
        }
    }
}

function thingOf(state: JobState | undefined, change: Change): unknown {
    if (!state) {
        return undefined;
    }
    if (change.list === null) {
        const facts: Record<string, unknown> = state.facts;
        return Object.keys(change.fact ?? {}).map((key) => facts[key]);
    }
    return state.facts[change.list]?.find((thing) => thing.id === change.thing) ?? null;
}
