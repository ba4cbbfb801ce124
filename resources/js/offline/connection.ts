/** Whether the shop answers. */
let away: { since: string } | null = null;
let heardAt = new Date().toISOString();
const listeners = new Set<() => void>();

function tell(): void {
    listeners.forEach((listener) => listener());
}

export const connection = {
    /** Since when the shop does not answer; null while it does. */
    away: (): { since: string } | null => away,
    subscribe: (listener: () => void): (() => void) => {
        listeners.add(listener);
        return () => listeners.delete(listener);
    },
    heard: (): void => {
        heardAt = new Date().toISOString();
        if (away !== null) {
            away = null;
            tell();
        }
    },
    lost: (): void => {
        if (away === null) {
            away = { since: heardAt };
            tell();
        }
    },
};
