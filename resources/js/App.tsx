import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useIsFetching } from '@tanstack/react-query';
import { Suspense, useEffect, useSyncExternalStore } from 'react';
import { Redirect, Route, Router, Switch } from './shell/router';
import { useShop } from './api/queries';
import { Bench } from './bench/Bench';
import { here, whoIsHere } from './people/me';
import { fetchTheRest, later } from './shell/later';
import { SettingsProvider } from './shell/settings';

const JobPage = later(async () => (await import('./job/JobPage')).JobPage);
const DebriefPage = later(async () => (await import('./practice/DebriefPage')).DebriefPage);
const PracticePage = later(async () => (await import('./practice/PracticePage')).PracticePage);
const ShopPage = later(async () => (await import('./shop/ShopPage')).ShopPage);
const SignInPage = later(async () => (await import('./people/SignInPage')).SignInPage);
const SittingOver = later(async () => (await import('./people/SittingOver')).SittingOver);
const SumsPage = later(async () => (await import('./sums/SumsPage')).SumsPage);
const TablesPage = later(async () => (await import('./tables/TablesPage')).TablesPage);

if (window.location.pathname.startsWith('/job/')) {
    JobPage.ahead();
}

export function App() {
    const { signs_in, person } = useSyncExternalStore(whoIsHere.subscribe, whoIsHere.now);
    const out = signs_in && person === null;
    if (out && here() === null) {
        return (
            <Suspense fallback={<main aria-busy />}>
                <SignInPage />
            </Suspense>
        );
    }
    // What was typed stays where it is behind it.
    return (
        <>
            <Opened />
            <Suspense>{out && <SittingOver />}</Suspense>
        </>
    );
}

/** What is left is fetched once what this page asked for is there. */
function TheRest() {
    const fetching = useIsFetching();
    useEffect(() => {
        if (fetching === 0) {
            fetchTheRest();
        }
    }, [fetching]);
    return null;
}

/** For whoever is signed in, or where nobody does. */
function Opened() {
    const shop = useShop();
    if (shop.isPending) {
        return null;
    }
    if (shop.isError) {
        return (
            <Box sx={{ p: 4 }}>
                <Typography variant="h1">The shop can’t be reached</Typography>
                <Typography sx={{ my: 2 }}>
                    The application behind this page does not answer. Start it again with bin/start.
                </Typography>
                <Button variant="outlined" onClick={() => void shop.refetch()}>
                    Try again
                </Button>
            </Box>
        );
    }
    return (
        <SettingsProvider shopUnit={shop.data.unit}>
            <TheRest />
            <Router>
                <Suspense fallback={<main aria-busy />}>
                    <Switch>
                        <Route path="/">
                            <Bench />
                        </Route>
                        <Route path="/shop">
                            <ShopPage />
                        </Route>
                        <Route path="/tables">
                            <TablesPage />
                        </Route>
                        <Route path="/sums">
                            <SumsPage />
                        </Route>
                        <Route path="/practice">
                            <PracticePage />
                        </Route>
                        <Route path="/practice/:job">
                            <DebriefPage />
                        </Route>
                        <Route path="/job/:job/:stage">
                            <JobPage />
                        </Route>
                        <Route>
                            <Redirect to="/" replace />
                        </Route>
                    </Switch>
                </Suspense>
            </Router>
        </SettingsProvider>
    );
}
