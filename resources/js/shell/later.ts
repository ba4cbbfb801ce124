import { lazy, type ComponentType } from 'react';

const AGAIN = 1500;

const waiting: (() => Promise<unknown>)[] = [];

/** A part of the application that is fetched when it is first shown, or before that once there is nothing to do. */
export function later<P>(load: () => Promise<ComponentType<P>>) {
    // Where nobody answers it waits: what is on the screen stays until then.
    const fetched = async (): Promise<{ default: ComponentType<P> }> => {
        try {
            return { default: await load() };
        } catch {
            reloadWhereGone();
            await new Promise((again) => setTimeout(again, AGAIN));
            return fetched();
        }
    };
    waiting.push(load);
    return Object.assign(lazy(fetched), {
        /** Before it is shown. */
        ahead: () => void load().catch(() => undefined),
    });
}

let begun = false;

/** Fetches what is left, one after the other, so that no step waits for it later. */
export function fetchTheRest() {
    if (begun) {
        return;
    }
    begun = true;
    const idle = window.requestIdleCallback ?? ((then: () => void) => window.setTimeout(then, 300));
    const next = () =>
        idle(() => {
            void waiting
                .shift()?.()
                .then(next, () => undefined);
        });
    next();
}

/**
 * A part that is no longer there belongs to an older version of this page: it is loaded anew, but not over and over, and
 * not where nobody answers: what stands on the screen is worth more than a page that says so.
 */
export function reloadWhereGone(): void {
    const last = Number(sessionStorage.getItem('reloaded') ?? 0);
    if (Date.now() - last > 10_000) {
        void fetch('/', { method: 'HEAD', cache: 'no-store' }).then(
            () => {
                sessionStorage.setItem('reloaded', String(Date.now()));
                window.location.reload();
            },
            () => undefined,
        );
    }
}
