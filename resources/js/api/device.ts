import { newId } from './ids';

const KEY = 'oldpart-fit-device';

/** A name this browser made for itself, so that undo takes back what was done on it and not on another. */
export function device(): string {
    try {
        const kept = localStorage.getItem(KEY);
        if (kept !== null && /^[A-Za-z0-9_-]{1,40}$/.test(kept)) {
            return kept;
        }
        const fresh = newId();
        localStorage.setItem(KEY, fresh);
        return fresh;
    } catch {
        return newId();
    }
}
