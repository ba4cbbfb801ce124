/** As the page's keeper calls it, in vite.config.ts. */
const PAGE = 'oldpart-fit-page';

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

async function keep(): Promise<void> {
    try {
        await navigator.serviceWorker.register('/sw.js', { scope: '/' });
        await navigator.serviceWorker.ready;
        // The page that is open was there before its keeper was.
        await (await caches.open(PAGE)).add('/');
    } catch {
        // A browser that keeps nothing works on with the shop in reach.
    }
}
