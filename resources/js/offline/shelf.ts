import { connection } from './connection';

const SHELF = 'oldpart-fit-shelf';
/** As the page's keeper calls it, in vite.config.ts. */
const PHOTOS = 'oldpart-fit-photos';
/** Asked anew or not at all: of no use when they are old, or too large to keep. */
const NOT_KEPT =
    /\/(me|history|drawings|sheet|letter|lessons|backups|everything|people|find|gauges|file|card|calendar)\b/;
/** So many jobs are kept, those that were open last. */
const MOST_JOBS = 12;
/** A job is laid down once the hand rests. */
const REST = 400;

/** Nothing is left for whoever comes next to this device. */
export async function clearShelf(): Promise<void> {
    await Promise.all([caches.delete(SHELF), caches.delete(PHOTOS)]);
}

/** From the shop; where it does not answer, as it was last here. */
export async function fetchOrShelf(request: Request): Promise<Response> {
    let answer: Response;
    try {
        answer = await globalThis.fetch(request.clone());
        if (answer.status === 502 || answer.status === 504) {
            throw new TypeError('The shop does not answer.');
        }
    } catch (error) {
        if (request.signal.aborted || !(error instanceof TypeError)) {
            throw error;
        }
        connection.lost();
        const kept = request.method === 'GET' ? await taken(request.url) : undefined;
        if (kept !== undefined) {
            return kept;
        }
        throw error;
    }
    connection.heard();
    if (request.method === 'GET' && answer.ok && !request.headers.has('X-Known')) {
        void lay(request.url, answer.clone());
    }
    return answer;
}

const waiting = new Map<string, ReturnType<typeof setTimeout>>();

/** A whole job as it stands here now, also where only what changed of it was sent. */
export function layJob(id: string, state: unknown): void {
    clearTimeout(waiting.get(id));
    waiting.set(
        id,
        setTimeout(() => {
            waiting.delete(id);
            const body = JSON.stringify(state);
            void lay(
                `/api/jobs/${id}`,
                new Response(body, { headers: { 'Content-Type': 'application/json' } }),
            ).then(leaveTheLast);
        }, REST),
    );
}

async function lay(url: string, answer: Response): Promise<void> {
    const path = new URL(url, location.origin);
    if (
        NOT_KEPT.test(path.pathname) ||
        !(answer.headers.get('content-type') ?? '').startsWith('application/json')
    ) {
        return;
    }
    try {
        const shelf = await caches.open(SHELF);
        // Anew at the end, so that the first ones are those that lay longest.
        await shelf.delete(path.href);
        await shelf.put(path.href, answer);
    } catch {
        // A full device keeps what it has.
    }
}

async function taken(url: string): Promise<Response | undefined> {
    try {
        return await (await caches.open(SHELF)).match(new URL(url, location.origin).href);
    } catch {
        return undefined;
    }
}

async function leaveTheLast(): Promise<void> {
    const shelf = await caches.open(SHELF);
    const jobs = (await shelf.keys()).filter((one) => /^\/api\/jobs\/[^/]+$/.test(new URL(one.url).pathname));
    for (const old of jobs.slice(0, Math.max(0, jobs.length - MOST_JOBS))) {
        await shelf.delete(old);
    }
}
