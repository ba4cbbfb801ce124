import { useSyncExternalStore } from 'react';
import { useJob } from '../job/JobContext';
import { connection } from './connection';

/** Whether a point is ticked: as the shop answered; while it can't be asked, as it stands on this device. */
export function useTicked(): (code: string, answered: boolean) => boolean {
    const away = useSyncExternalStore(connection.subscribe, connection.away);
    const { facts } = useJob();
    return (code, answered) =>
        away === null ? answered : facts.ticks.some((tick) => tick.code === code && !tick.failed);
}
