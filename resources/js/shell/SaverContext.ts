import { createContext, useContext, useSyncExternalStore } from 'react';
import type { Saver, SaveStatus } from '../saving/saver';

export const SaverContext = createContext<Saver | null>(null);

export function useSaver(): Saver {
    const saver = useContext(SaverContext);
    if (!saver) {
        throw new Error('useSaver needs a SaverContext');
    }
    return saver;
}

export function useSaveStatus(): SaveStatus {
    const saver = useSaver();
    return useSyncExternalStore(saver.subscribe, () => saver.status);
}
