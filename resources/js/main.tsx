import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Saver } from './saving/saver';
import { App } from './App';
import { Refused } from './api/client';
import { askAhead } from './api/queries';
import { reloadWhereGone } from './shell/later';
import { SaverContext } from './shell/SaverContext';
import { learn } from './speak/language';
import { learnWho, whoIsHere } from './people/me';
import { theme } from './theme/theme';

/** What was refused for what it is will be again; what went wrong on the way is asked twice more. */
const again = (times: number, error: Error): boolean =>
    times < 2 && !(error instanceof Refused && error.status >= 400 && error.status < 500);

const queries = new QueryClient({
    // Whether the shop answers is seen by asking it, not by what the device believes of its network.
    defaultOptions: {
        mutations: { networkMode: 'always' },
        queries: { networkMode: 'always', staleTime: 2000, refetchOnWindowFocus: true, retry: again },
    },
});
// Styles are made as they are needed; the page says by this that they are its own.
const nonce = document.querySelector<HTMLMetaElement>('meta[property=csp-nonce]')?.nonce;
const styles = createCache({ key: 'css', ...(nonce ? { nonce } : {}) });
const root = document.getElementById('app');
/** Once the language is known, and who is at this device; not awaited at the top, where all that is fetched later would wait for it. */
function draw(root: HTMLElement): void {
    const { signs_in, person } = whoIsHere.now();
    if (!signs_in || person !== null) {
        askAhead(queries, window.location.pathname);
    }
    const saver = new Saver(queries);
    createRoot(root).render(
        <StrictMode>
            <CacheProvider value={styles}>
                <ThemeProvider theme={theme} defaultMode="light">
                    <CssBaseline />
                    <QueryClientProvider client={queries}>
                        <SaverContext value={saver}>
                            <App />
                        </SaverContext>
                    </QueryClientProvider>
                </ThemeProvider>
            </CacheProvider>
        </StrictMode>,
    );
}
if (root) {
    void Promise.all([learn(), learnWho()]).then(() => draw(root), reloadWhereGone);
}
