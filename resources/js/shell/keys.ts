import { useEffect, useRef } from 'react';

function typing(target: EventTarget | null): boolean {
    return (
        target instanceof HTMLElement &&
        (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName)) &&
        !(target instanceof HTMLInputElement && ['checkbox', 'radio', 'button'].includes(target.type))
    );
}

/** Runs when the key is pressed, but never while somebody types in a field or a dialog is open. */
export function useKey(key: string, run: () => void): void {
    const latest = useRef(run);
    useEffect(() => {
        latest.current = run;
    });
    useEffect(() => {
        const listen = (event: KeyboardEvent) => {
            const modified = event.ctrlKey || event.altKey || event.metaKey;
            if (
                event.key.toLowerCase() === key &&
                !modified &&
                !typing(event.target) &&
                !document.querySelector('[role=dialog]')
            ) {
                event.preventDefault();
                latest.current();
            }
        };
        window.addEventListener('keydown', listen);
        return () => window.removeEventListener('keydown', listen);
    }, [key]);
}
