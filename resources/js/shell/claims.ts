const claimed = new Map<string, string[]>();
const listeners = new Set<() => void>();

/** Who on this screen says a word first: it is underlined there and nowhere else. */
export const claims = {
    first: (word: string): string | undefined => claimed.get(word)?.[0],
    subscribe: (listener: () => void) => {
        listeners.add(listener);
        return () => listeners.delete(listener);
    },
    /** Claims words for a text; gives them back when that text is gone. */
    put: (words: string[], id: string) => {
        words.forEach((word) => claimed.set(word, [...(claimed.get(word) ?? []), id]));
        listeners.forEach((listener) => listener());
        return () => {
            words.forEach((word) =>
                claimed.set(
                    word,
                    (claimed.get(word) ?? []).filter((one) => one !== id),
                ),
            );
            listeners.forEach((listener) => listener());
        };
    },
};
