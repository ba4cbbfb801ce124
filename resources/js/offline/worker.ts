/** As the page's keeper calls it, in vite.config.ts. */
const PAGE = 'oldpart-fit-page';

/** Seconds until it is tried again: a network that broke off meanwhile, a device with its hands full. */
const AGAIN_S = [2, 10, 60, 300];

/** Behind the page itself: what its keeper fetches is what the page fetched, and comes from this browser. */
export function keepPage(): void {
    if (!('serviceWorker' in navigator) || !import.meta.env.PROD) {
        return;
    }
    if (document.readyState === 'complete') {
        void keep();
    } else {
        window.addEventListener('load', () => void keep());
    }
}

async function keep(tries = 0): Promise<void> {
    try {
        await installed(await navigator.serviceWorker.register('/sw.js', { scope: '/' }));
        // The page that is open was there before its keeper was.
        await (await caches.open(PAGE)).add('/');
    } catch {
        // A browser that keeps nothing works on with the shop in reach.
        const wait = AGAIN_S[tries];
        if (wait !== undefined) {
            window.setTimeout(() => void keep(tries + 1), wait * 1000);
        }
    }
}

/** Until it keeps the page; one that could not fetch all of it is given up by the browser without a word. */
function installed(its: ServiceWorkerRegistration): Promise<void> {
    const worker = its.active ?? its.waiting ?? its.installing;
    return new Promise((done, failed) => {
        const look = () => {
            if (worker === null || worker.state === 'redundant') {
                failed(new Error(worker?.state));
            } else if (worker.state === 'activated') {
                done();
            }
        };
        worker?.addEventListener('statechange', look);
        look();
    });
}
