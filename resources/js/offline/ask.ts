/** What answers where the shop does not; only on devices that reach it over the network. */
let shelf: typeof import('./shelf') | null = null;

/** Asks the shop. */
export function ask(request: Request): Promise<Response> {
    return shelf === null ? globalThis.fetch(request) : shelf.fetchOrShelf(request);
}

/** A whole job as it stands here now. */
export function layJob(id: string, state: unknown): void {
    shelf?.layJob(id, state);
}

/** Lets this page be opened and worked on without the shop. */
export async function worksAway(): Promise<void> {
    try {
        const [there, { keepPage }] = await Promise.all([import('./shelf'), import('./worker')]);
        if (typeof caches !== 'undefined') {
            shelf = there;
            keepPage();
        }
    } catch {
        // It could not be fetched: this page works with the shop in reach alone.
    }
}

export async function clearShelf(): Promise<void> {
    await shelf?.clearShelf();
}
