import { createContext, startTransition, use, useCallback, useEffect, useState, type ReactNode } from 'react';
import { Router as Wouter, useLocation, useSearchParams as useParamsHere } from 'wouter';
import { navigate, useHistoryState } from 'wouter/use-browser-location';

export { Link, Redirect, Route, Switch, useParams } from 'wouter';

const MOVES = ['popstate', 'pushState', 'replaceState', 'hashchange'];

const here = () => ({ path: location.pathname, search: location.search });

const Here = createContext(here());

const useHere = (): [string, typeof navigate] => [use(Here).path, navigate];

const useSearchHere = (): string => use(Here).search;

/**
 * The address as a state of its own, path and search together: where a page has to be fetched first, the one before
 * stays and answers to its keys until then.
 */
export function Router({ children }: { children: ReactNode }) {
    const [place, setPlace] = useState(here);
    useEffect(() => {
        const moved = () => startTransition(() => setPlace(here()));
        MOVES.forEach((move) => window.addEventListener(move, moved));
        moved();
        return () => MOVES.forEach((move) => window.removeEventListener(move, moved));
    }, []);
    return (
        <Here value={place}>
            <Wouter hook={useHere} searchHook={useSearchHere}>
                {children}
            </Wouter>
        </Here>
    );
}

/**
 * What stands behind the question mark, and how it is changed: by a page that is still where one is. One that comes up
 * when somebody went on already has no say in the address.
 */
export function useSearchParams(): ReturnType<typeof useParamsHere> {
    const { path } = use(Here);
    const [params, change] = useParamsHere();
    const whileHere = useCallback<typeof change>(
        (...to) => {
            if (location.pathname === path) {
                change(...to);
            }
        },
        [path, change],
    );
    return [params, whileHere];
}

/** Goes somewhere else; what is handed on by `state` is there until the page is left. */
export function useNavigate() {
    return useLocation()[1];
}

/** Where one is: the path, without what stands behind the question mark. */
export function usePath(): string {
    return useLocation()[0];
}

/** What was handed on by whoever came here. */
export function useHandedOn<T>(): T | null {
    return useHistoryState<T | null>();
}
