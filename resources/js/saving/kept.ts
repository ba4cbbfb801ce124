import type { Change, Unsettled } from './change';

const WAITING = 'oldpart-fit-unsaved:';
const UNSETTLED = 'oldpart-fit-unsettled:';
/** All of them under one key, as earlier versions kept them. */
const BEFORE = 'oldpart-fit-unsaved';

/** What is not stored yet, in this browser, each under a key of its own: no window erases what another keeps. */
export const kept = {
    wait: (change: Change) => write(WAITING + change.request, change),
    waiting: (): Change[] => [...old(), ...all<Change>(WAITING)].sort((a, b) => a.at.localeCompare(b.at)),
    unsettle: (one: Unsettled) => {
        write(UNSETTLED + one.change.request, one);
        remove(WAITING + one.change.request);
    },
    unsettled: (): Unsettled[] => all<Unsettled>(UNSETTLED),
    forget: (request: string) => {
        remove(WAITING + request);
        remove(UNSETTLED + request);
    },
};

function write(key: string, value: unknown): void {
    try {
        localStorage.setItem(key, JSON.stringify(value));
    } catch {
        // A full or forbidden store: it is still in this page, and on its way.
    }
}

function remove(key: string): void {
    try {
        localStorage.removeItem(key);
    } catch {
        // Nothing was kept there.
    }
}

function all<T extends object>(prefix: string): T[] {
    const found: T[] = [];
    try {
        for (let i = 0; i < localStorage.length; i++) {
            const key = localStorage.key(i);
            const one = key?.startsWith(prefix) ? parsed<T>(localStorage.getItem(key)) : null;
            if (one !== null) {
                found.push(one);
            }
        }
    } catch {
        // Nothing can be read: nothing was kept.
    }
    return found;
}

function parsed<T extends object>(text: string | null): T | null {
    try {
        const value: unknown = JSON.parse(text ?? 'null');
        return typeof value === 'object' && value !== null ? (value as T) : null;
    } catch {
        return null;
    }
}

function old(): Change[] {
    try {
        const list: unknown = JSON.parse(localStorage.getItem(BEFORE) ?? '[]');
        localStorage.removeItem(BEFORE);
        const changes = (Array.isArray(list) ? (list as Change[]) : []).map((change) => ({
            ...change,
            was: null,
            at: '',
            who: null,
        }));
        changes.forEach(kept.wait);
        return changes;
    } catch {
        return [];
    }
}
