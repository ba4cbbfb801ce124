import { useState } from 'react';

/** State that survives leaving the screen and a reload: what was typed and could not be stored yet. */
export function useKept<T>(key: string, initial: T, read?: (kept: T) => T) {
    const name = `oldpart-fit-kept:${key}`;
    const [value, setValue] = useState<T>(() => {
        try {
            const text = sessionStorage.getItem(name);
            if (text === null) {
                return initial;
            }
            const kept = JSON.parse(text) as T;
            return read ? read(kept) : kept;
        } catch {
            return initial;
        }
    });
    const set = (next: T | ((now: T) => T)) =>
        setValue((now) => {
            const value = typeof next === 'function' ? (next as (now: T) => T)(now) : next;
            sessionStorage.setItem(name, JSON.stringify(value));
            return value;
        });
    return [value, set] as const;
}
