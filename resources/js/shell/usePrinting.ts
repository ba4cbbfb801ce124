import { useSyncExternalStore } from 'react';

const paper = () => window.matchMedia('print');

/** Whether the page is being laid out on paper just now. */
export function usePrinting(): boolean {
    return useSyncExternalStore(
        (listener) => {
            const query = paper();
            query.addEventListener('change', listener);
            return () => query.removeEventListener('change', listener);
        },
        () => paper().matches,
    );
}
