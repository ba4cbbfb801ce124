import { useLocation } from 'wouter';
import { useHistoryState } from 'wouter/use-browser-location';

export { Link, Redirect, Route, Switch, useParams, useSearchParams } from 'wouter';

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
