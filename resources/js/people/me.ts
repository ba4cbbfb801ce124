import { client } from '../api/client';
import type { Me } from '../api/types';
import { clearShelf, worksAway } from '../offline/ask';

const KEY = 'oldpart-fit-me';
/** Without the shop a page opens for whoever signed in last on this device, as long as a sitting lasts. */
const SITTING_H = 12;

/** On the shop's own machine, and until it is known: nobody signs in, everything is allowed. */
const NOBODY: Me = { signs_in: false, person: null, may: ['look', 'work', 'answer', 'own'], people: [] };

export type Act = Me['may'][number];

let me: Me = NOBODY;
/** Whose page this is, by id, also after the sitting is over; somebody else has it loaded anew. */
let page: string | null = null;
const listeners = new Set<() => void>();

export const whoIsHere = {
    now: (): Me => me,
    subscribe: (listener: () => void): (() => void) => {
        listeners.add(listener);
        return () => listeners.delete(listener);
    },
};

/** The id that what is typed here is kept under; null where nobody signs in. */
export function here(): string | null {
    return page;
}

export function may(act: Act): boolean {
    return me.may.includes(act);
}

function set(next: Me): void {
    me = next;
    try {
        localStorage.setItem(KEY, JSON.stringify({ me: next, at: Date.now() }));
    } catch {
        // Without it a page that is opened while the shop is away asks who it is.
    }
    listeners.forEach((listener) => listener());
}

/** As the shop last said it, where it does not answer. */
function last(): Me {
    try {
        const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as { me?: Me; at?: number };
        const over = Date.now() - (kept.at ?? 0) > SITTING_H * 3600_000;
        return kept.me === undefined ? NOBODY : over ? { ...kept.me, person: null } : kept.me;
    } catch {
        return NOBODY;
    }
}

client.use({
    onRequest({ request }) {
        const id = here();
        if (id !== null && !request.headers.has('X-Person')) {
            request.headers.set('X-Person', id);
        }
        return request;
    },
    onResponse({ response, schemaPath }) {
        if (response.status === 401 && !schemaPath.startsWith('/api/me') && me.signs_in) {
            void meet();
        }
        return undefined;
    },
});

/** Asks who is signed in, before anything is drawn. */
export async function learnWho(): Promise<void> {
    try {
        const answer = await client.GET('/api/me');
        set(answer.data ?? last());
    } catch {
        set(last());
    }
    page = me.person?.id ?? null;
    if (me.signs_in) {
        await worksAway();
    }
}

let meeting: Promise<void> | null = null;

/** Names come and go, and one may have signed out in another window. */
export const askAgain = (): Promise<void> => meet();

/** The shop does not take this page for who it was: it asks for the PIN, or is loaded anew for whoever signed in. */
function meet(): Promise<void> {
    meeting ??= (async () => {
        try {
            const answer = await client.GET('/api/me');
            if (answer.data) {
                if (answer.data.person !== null && answer.data.person.id !== here()) {
                    enter(answer.data);
                } else {
                    // Whose page it is stays known: what was typed is stored under that name.
                    set(answer.data);
                }
            }
        } catch {
            // Nobody answers: what waits here waits on.
        }
        meeting = null;
    })();
    return meeting;
}

/** Somebody signed in: a page of their own. */
export function enter(next: Me): void {
    set(next);
    // Nothing of the one before is left here but what they typed.
    void (next.person?.id === page ? Promise.resolve() : clearShelf()).then(() => window.location.reload());
}
