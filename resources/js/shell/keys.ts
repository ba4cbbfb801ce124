import { useLayoutEffect, useRef, useSyncExternalStore } from 'react';

const OFF = 'oldpart-fit-single-keys';
const listeners = new Set<() => void>();

/** Single keys can be switched off, for who works by voice or with a keyboard that types by itself. */
export const singleKeys = {
    on: (): boolean => localStorage.getItem(OFF) !== 'off',
    set: (on: boolean): void => {
        localStorage.setItem(OFF, on ? 'on' : 'off');
        listeners.forEach((listener) => listener());
    },
};

export function useSingleKeys(): boolean {
    return useSyncExternalStore((listener) => {
        listeners.add(listener);
        return () => listeners.delete(listener);
    }, singleKeys.on);
}

/** A field says it of itself. */
const untouched = (target: EventTarget | null): boolean =>
    target instanceof HTMLElement && target.dataset.untouched === 'yes';

/** What takes letters for itself while it is open: dialogs, lists, menus. */
const OPEN = '[role=dialog], [role=alertdialog], [role=listbox], [role=menu]';

function typing(target: EventTarget | null): boolean {
    return (
        target instanceof HTMLElement &&
        (target.isContentEditable ||
            ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
            ['combobox', 'textbox', 'option', 'menuitem', 'spinbutton'].includes(target.role ?? '')) &&
        !(
            target instanceof HTMLInputElement &&
            ['checkbox', 'radio', 'button', 'range'].includes(target.type)
        )
    );
}

/**
 * Runs when the key is pressed, but never while somebody types in a field, or a list, a menu or a dialog is open; where it
 * is asked for, in a field too in which nothing was typed yet.
 */
export function useKey(key: string, run: () => void, untouchedToo = false): void {
    const latest = useRef(run);
    useLayoutEffect(() => {
        latest.current = run;
    });
    // Not an effect after the picture: what is shown listens at once, on a slow machine too.
    useLayoutEffect(() => {
        const listen = (event: KeyboardEvent) => {
            const modified = event.ctrlKey || event.altKey || event.metaKey;
            if (
                event.key.toLowerCase() === key &&
                !modified &&
                !event.defaultPrevented &&
                singleKeys.on() &&
                (!typing(event.target) || (untouchedToo && untouched(event.target))) &&
                !document.querySelector(OPEN)
            ) {
                event.preventDefault();
                latest.current();
            }
        };
        window.addEventListener('keydown', listen);
        return () => window.removeEventListener('keydown', listen);
    }, [key, untouchedToo]);
}
