import { Suspense, useSyncExternalStore } from 'react';
import { later } from '../shell/later';
import { connection } from './connection';

const AwayBar = later(async () => (await import('./AwayBar')).AwayBar);

/** A bar under the top while the shop does not answer. It lies on the device before that: nobody fetches it then. */
export function Away() {
    const away = useSyncExternalStore(connection.subscribe, connection.away);
    return <Suspense>{away !== null && <AwayBar />}</Suspense>;
}
