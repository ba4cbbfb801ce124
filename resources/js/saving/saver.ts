import type { QueryClient } from '@tanstack/react-query';
import { client, newId, Refused, refusal } from '../api/client';
import { whole } from '../api/held';
import { jobKey } from '../api/queries';
import type { JobFacts, JobPatch, JobState, ListName, Unit } from '../api/types';
import { Broadcast } from './broadcast';
import type { Change, Unsettled, Waiting } from './change';
import { kept } from './kept';
import { goneOn, isAboutTheSame, touched, touchedText } from './merge';
import { factsWith, type Tried } from '../job/whatIf';
import { here } from '../people/me';
import { fetchJob, send } from './transport';

export interface Wrong {
    surface?: string;
    loop?: string;
    /** Of the length in its loop. */
    place?: number;
    right: { typed: string; unit: Unit } | null;
    cause: string;
    note: string;
}

const NO_ANSWER = 'The shop does not answer just now. Try again.';

export type SaveStatus = 'saved' | 'saving' | 'failed';

/** A refusal that nobody has shown yet, with what was refused. */
export class RefusedChange extends Refused {
    constructor(
        error: Refused,
        readonly change: Change,
    ) {
        super(error.code, error.field, error.message);
    }
}

const PAUSES = [500, 1000, 2000, 4000, 8000];
/** A change that breaks something over there is set aside after so many tries, so that it holds up no other. */
const BROKEN_TRIES = 3;

/**
 * Sends changes one after the other. What could not be sent is kept in this browser and tried again, also after a
 * reload; each carries an id of its own, so that one that did arrive is not carried out twice, and what stood there
 * when it was typed, so that it never goes on top of something newer. What is refused is listed until it is dealt with.
 */
export class Saver {
    private queue: Waiting[] = [];
    private busy = false;
    private tries = 0;
    private pause: (() => void) | null = null;
    private listeners = new Set<() => void>();
    private broadcast: Broadcast;
    private sending: SaveStatus = 'saved';
    /** Fields whose text waits until the hand rests. */
    private typed = new Set<() => void>();
    unsettled: Unsettled[] = kept.unsettled().filter((one) => isMine(one.change));
    /** What was taken away last, to be said with a way back. */
    removed: string | null = null;

    constructor(private readonly queries: QueryClient) {
        this.broadcast = new Broadcast((job) => {
            void this.queries.invalidateQueries({ queryKey: jobKey(job) });
            void this.queries.invalidateQueries({ queryKey: ['bench'] });
        });
        for (const change of kept.waiting().filter(isMine)) {
            this.queue.push({ change, resolve: () => undefined, reject: () => undefined, orphan: true });
        }
        // What no screen shows by itself is listed: nothing refused goes without a word.
        window.addEventListener('unhandledrejection', (event) => {
            if (event.reason instanceof RefusedChange) {
                event.preventDefault();
                this.setAside({
                    change: event.reason.change,
                    why: event.reason.message,
                    theirs: null,
                    kind: 'refused',
                });
            }
        });
        // Whoever closes the page while the hand rests loses nothing: it is kept here and sent the next time.
        window.addEventListener('pagehide', () => this.typed.forEach((flush) => flush()));
        void this.run();
    }

    /** How many changes are not stored yet. */
    get waiting(): number {
        return this.queue.length;
    }

    /** What waits for a job, in the order in which it was typed. */
    waitingOf(job: string): Change[] {
        return this.waitingAll().filter((change) => change.job === job);
    }

    waitingAll(): Change[] {
        return this.queue.map(({ change }) => change);
    }

    /** Tries at once, where it was pausing. */
    wake(): void {
        this.tries = 0;
        this.pause?.();
    }

    get status(): SaveStatus {
        return this.sending === 'saved' && this.typed.size > 0 ? 'saving' : this.sending;
    }

    /** A text is being typed that is not sent yet; `flush` sends it. What comes back says that it was. */
    typing(flush: () => void): () => void {
        this.typed.add(flush);
        this.tell();
        return () => {
            this.typed.delete(flush);
            this.tell();
        };
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
            const change: Change = {
                request: newId(),
                job,
                list,
                thing,
                fact,
                was: null,
                at: new Date().toISOString(),
                who: here(),
            };
            const known = this.queries.getQueryData<JobState>(jobKey(job));
            const before = this.queue.some((waiting) => isAboutTheSame(waiting.change, change));
            // Behind another of our own it goes on top of that one, whatever it comes to.
            change.was = known === undefined || before ? null : touchedText(known, change);
            this.queue.push({ change, resolve, reject, orphan: false });
            kept.wait(change);
            this.tell();
            void this.run();
        });
    }

    /** The facts of a job as they will be once what waits here has arrived: what is typed next goes on top of it. */
    ahead(job: string): JobFacts | undefined {
        const known = this.queries.getQueryData<JobState>(jobKey(job));
        return known && factsWith(known.facts, this.queue.map(({ change }) => change).filter(isOf(job)));
    }

    /** Both say why not, where they could not. */
    undo = (job: string): Promise<string | null> => this.underWay(() => this.step('undo', job));

    redo = (job: string): Promise<string | null> => this.underWay(() => this.step('redo', job));

    /** “Saved” is not said before it is done. */
    private async underWay<T>(work: () => Promise<T>): Promise<T> {
        const arrived = this.typing(() => undefined);
        try {
            return await work();
        } finally {
            arrived();
        }
    }

    private async step(which: 'undo' | 'redo', job: string): Promise<string | null> {
        const state = this.queries.getQueryData<JobState>(jobKey(job));
        if (!state || this.queue.length > 0) {
            return 'What was typed is still being stored: try again in a moment.';
        }
        this.sayRemoved(null);
        const body = { version: state.version, request: newId() };
        const params = { path: { job } };
        try {
            const answer =
                which === 'undo'
                    ? await client.POST('/api/jobs/{job}/undo', { params, body })
                    : await client.POST('/api/jobs/{job}/redo', { params, body });
            if (answer.data) {
                this.take(job, await whole(job, answer.data));
                return null;
            }
            await this.queries.invalidateQueries({ queryKey: jobKey(job) });
            return refusal(answer.error).message;
        } catch {
            return NO_ANSWER;
        }
    }

    /** Says what was taken away, with a way back. */
    sayRemoved(name: string | null): void {
        if (this.removed !== name) {
            this.removed = name;
            this.tell();
        }
    }

    /** Somebody changed the job by a way of its own. */
    async fetchAnew(job: string): Promise<void> {
        await this.queries.invalidateQueries({ queryKey: jobKey(job) });
        void this.queries.invalidateQueries({ queryKey: ['bench'] });
        this.broadcast.tell(job);
    }

    /** A number was wrong: kept with the right one and the reason, as one change. */
    async numberWasWrong(job: string, wrong: Wrong): Promise<void> {
        const body = { ...wrong, id: newId(), request: newId() };
        await this.underWay(() =>
            this.untilCurrent(job, (version) =>
                client.POST('/api/jobs/{job}/mistakes', {
                    params: { path: { job } },
                    body: { ...body, version },
                }),
            ),
        );
    }

    /** Several changes that are one decision: stored together or not at all, and taken back together. */
    saveAll = (job: string, changes: Pick<Change, 'list' | 'thing' | 'fact'>[]): Promise<void> =>
        this.underWay(() => this.together(job, changes));

    private async together(job: string, changes: Pick<Change, 'list' | 'thing' | 'fact'>[]): Promise<void> {
        const known = this.queries.getQueryData<JobState>(jobKey(job)) ?? (await fetchJob(job));
        if (known === null || known instanceof Refused) {
            throw known ?? new Refused('no-answer', '', NO_ANSWER);
        }
        const answer = await client.POST('/api/jobs/{job}/changes', {
            params: { path: { job } },
            body: { version: known.version, request: newId(), changes },
        });
        if (answer.data) {
            this.take(job, await whole(job, answer.data));
            return;
        }
        if (answer.response.status === 409) {
            this.queries.setQueryData(jobKey(job), (answer.error as { current: JobState }).current);
            throw new Refused(
                'changed-elsewhere',
                '',
                'The job was changed elsewhere in the meantime: look again, then take it.',
            );
        }
        throw refusal(answer.error);
    }

    /** A photograph: the picture itself is sent, so it waits neither in line nor in this browser. */
    async addPhoto(job: string, picture: Blob, surface: string | null): Promise<void> {
        const [photo, request] = [newId(), newId()];
        await this.underWay(() =>
            this.untilCurrent(job, (version) =>
                client.PUT('/api/jobs/{job}/pictures/{photo}', {
                    params: {
                        path: { job, photo },
                        query: { version, request, ...(surface === null ? {} : { surface }) },
                    },
                    body: picture as unknown as string,
                    bodySerializer: (body) => body as unknown as Blob,
                    headers: {
                        'Content-Type': picture.type === '' ? 'application/octet-stream' : picture.type,
                    },
                }),
            ),
        );
    }

    /** Sends a change on the version that is known here; where the job went on meanwhile, on the new one. */
    private async untilCurrent(
        job: string,
        call: (
            version: number,
        ) => Promise<{ data?: JobState | JobPatch; error?: unknown; response: Response }>,
    ): Promise<void> {
        for (let tries = 0; ; tries++) {
            const known = this.queries.getQueryData<JobState>(jobKey(job)) ?? (await fetchJob(job));
            if (known === null || known instanceof Refused) {
                throw known ?? new Refused('no-answer', '', NO_ANSWER);
            }
            const answer = await call(known.version);
            if (answer.data) {
                this.take(job, await whole(job, answer.data));
                return;
            }
            if (answer.response.status !== 409 || tries > 3) {
                throw refusal(answer.error);
            }
            this.queries.setQueryData(jobKey(job), (answer.error as { current: JobState }).current);
        }
    }

    /** Sends what was not stored again, on top of what stands there now. */
    again(one: Unsettled): void {
        this.drop(one);
        const { job, list, thing, fact } = one.change;
        void this.save(job, list, thing, fact);
    }

    /** Leaves what was not stored, and what stands there as it is. */
    drop(one: Unsettled): void {
        kept.forget(one.change.request);
        this.unsettled = this.unsettled.filter((other) => other.change.request !== one.change.request);
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
            if (!(await this.settle(waiting))) {
                this.set('failed');
                const pause = PAUSES[Math.min(this.tries, PAUSES.length - 1)];
                this.tries++;
                await new Promise<void>((done) => {
                    this.pause = done;
                    setTimeout(done, pause);
                });
            }
        }
        this.busy = false;
        this.set('saved');
    }

    /** True when the change is done with: stored, refused, or in a clash. False to try again. */
    private async settle(waiting: Waiting): Promise<boolean> {
        const { change } = waiting;
        const known = this.queries.getQueryData<JobState>(jobKey(change.job)) ?? (await fetchJob(change.job));
        if (known === null) {
            return false;
        }
        if (known instanceof Refused) {
            return this.refuse(waiting, known);
        }
        this.queries.setQueryData(jobKey(change.job), known);
        if (goneOn(known, change)) {
            return await this.meet(waiting, known);
        }
        const sent = await send(change, known.version);
        switch (sent.is) {
            case 'stored':
                this.done(waiting);
                this.rebase(change, sent.state);
                this.take(change.job, sent.state);
                waiting.resolve(sent.state);
                return true;
            case 'conflict':
                // Somebody else changed the job. Where they did not touch the same, ours goes on top at the next turn.
                this.queries.setQueryData(jobKey(change.job), sent.current);
                return goneOn(sent.current, change) ? this.clash(waiting, sent.current) : true;
            case 'refused':
                return this.refuse(waiting, sent.error);
            case 'broken':
                return this.tries >= BROKEN_TRIES ? this.refuse(waiting, sent.error) : false;
            case 'later':
                return false;
        }
    }

    /** Something newer seems to stand there: it may be our own, sent before and not heard of. Only the store can tell. */
    private async meet(waiting: Waiting, known: JobState): Promise<boolean> {
        const { change } = waiting;
        const current = await fetchJob(change.job);
        if (current === null) {
            return false;
        }
        if (current instanceof Refused) {
            return this.refuse(waiting, current);
        }
        this.queries.setQueryData(jobKey(change.job), current);
        const mine = change.fact === null ? null : JSON.stringify(pick(change.fact));
        const theirs = touched(current, change);
        const isMine = theirs === null ? change.fact === null : mine === JSON.stringify(pick(theirs));
        if (isMine || !goneOn(current, change)) {
            // Sent once more under its own name it is carried out once at most.
            const sent = await send(change, current.version);
            if (sent.is === 'stored') {
                this.done(waiting);
                this.rebase(change, sent.state);
                this.take(change.job, sent.state);
                waiting.resolve(sent.state);
                return true;
            }
            return sent.is === 'later' ? false : this.clash(waiting, current);
        }
        return this.clash(waiting, known.version > current.version ? known : current);
    }

    private clash(waiting: Waiting, current: JobState): boolean {
        this.done(waiting);
        this.setAside({
            change: waiting.change,
            why: 'It was changed elsewhere in the meantime.',
            theirs: touched(current, waiting.change),
            kind: 'clash',
        });
        // It is listed already; whoever waits is told in words.
        const error = new Refused(
            'clash',
            '',
            'This was changed elsewhere in the meantime: see “not stored”.',
        );
        waiting.reject(error);
        return true;
    }

    private refuse(waiting: Waiting, error: Refused): boolean {
        this.done(waiting);
        if (waiting.orphan) {
            this.setAside({ change: waiting.change, why: error.message, theirs: null, kind: 'refused' });
        } else {
            waiting.reject(new RefusedChange(error, waiting.change));
        }
        return true;
    }

    private setAside(one: Unsettled): void {
        kept.unsettle(one);
        this.unsettled = [
            ...this.unsettled.filter((other) => other.change.request !== one.change.request),
            one,
        ];
        this.tell();
    }

    /** Those of ours that wait behind a stored one go on top of what it made of it. */
    private rebase(stored: Change, state: JobState): void {
        for (const { change } of this.queue) {
            if (isAboutTheSame(change, stored)) {
                change.was = touchedText(state, change);
                kept.wait(change);
            }
        }
    }

    private take(job: string, state: JobState): void {
        this.queries.setQueryData(jobKey(job), state);
        void this.queries.invalidateQueries({ queryKey: ['bench'] });
        this.broadcast.tell(job);
    }

    private done(waiting: Waiting): void {
        this.queue = this.queue.filter((other) => other !== waiting);
        this.tries = 0;
        kept.forget(waiting.change.request);
        this.tell();
    }

    private set(status: SaveStatus): void {
        if (this.sending !== status) {
            this.sending = status;
            this.tell();
        }
    }

    private tell(): void {
        for (const listener of this.listeners) {
            listener();
        }
    }
}

function isOf(job: string) {
    return (change: Change): change is Change & Tried => change.job === job && change.fact !== null;
}

/** What was typed by somebody else on this device waits for them. */
function isMine(change: Change): boolean {
    return (change.who ?? null) === here();
}

/** To hold what was sent against what is there: a typed length is there with its millimetres beside. */
function pick(fact: Record<string, unknown>): unknown {
    return Object.keys(fact)
        .sort()
        .map((key) => {
            const value = fact[key];
            return typeof value === 'object' && value !== null && 'typed' in value && 'unit' in value
                ? [key, value.typed, value.unit]
                : [key, value];
        });
}
