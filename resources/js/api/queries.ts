import {
    keepPreviousData,
    queryOptions,
    useInfiniteQuery,
    useQuery,
    type QueryClient,
} from '@tanstack/react-query';
import { client, orRefuse } from './client';
import { typed } from '../speak/language';
import { whole } from './held';
import type { JobState, Shelf, Unit } from './types';

export const jobKey = (id: string) => ['job', id] as const;

const jobQuery = (id: string) =>
    queryOptions({
        queryKey: jobKey(id),
        queryFn: async () =>
            whole(id, orRefuse(await client.GET('/api/jobs/{job}', { params: { path: { job: id } } }))),
    });

const shopQuery = queryOptions({
    queryKey: ['shop'],
    queryFn: async () => orRefuse(await client.GET('/api/shop')),
});

/** Asks for what the page at this address shows before any of it is drawn. */
export function askAhead(queries: QueryClient, path: string): void {
    void queries.prefetchQuery(shopQuery);
    // What no job is called is not asked for.
    const job = /^\/job\/([\w-]+)\//.exec(path)?.[1];
    if (job !== undefined) {
        void queries.prefetchQuery(jobQuery(job));
    }
}

export function useJobState(id: string) {
    return useQuery(jobQuery(id));
}

/** A job as it was after one of its changes; it never becomes another. */
export function useAsOf(job: string, change: number | null) {
    return useQuery({
        queryKey: ['as-of', job, change],
        queryFn: async () =>
            orRefuse(
                await client.GET('/api/jobs/{job}/history/{change}', {
                    params: { path: { job, change: change ?? 0 } },
                    // Whole, and beside what is known of the job as it is.
                    headers: { 'X-Known': '' },
                }),
            ) as JobState,
        enabled: change !== null,
        staleTime: Infinity,
    });
}

/** So many the server sends at once. */
const HISTORY_PAGE = 100;

/** What was done to a job, the latest first; asked anew where it went on. */
export function useHistory(job: string, version: number, surface = '') {
    return useInfiniteQuery({
        queryKey: ['history', job, version, surface],
        queryFn: async ({ pageParam }) =>
            orRefuse(
                await client.GET('/api/jobs/{job}/history', {
                    params: {
                        path: { job },
                        query: {
                            ...(pageParam === null ? {} : { before: pageParam }),
                            ...(surface === '' ? {} : { surface }),
                        },
                    },
                }),
            ).rows,
        initialPageParam: null as number | null,
        getNextPageParam: (last) => (last.length < HISTORY_PAGE ? null : (last.at(-1)?.id ?? null)),
        placeholderData: keepPreviousData,
    });
}

export function useBench(shelf: Shelf = 'bench') {
    return useQuery({
        queryKey: ['bench', shelf],
        queryFn: async () => {
            const bench = orRefuse(await client.GET('/api/jobs', { params: { query: { shelf } } }));
            typed(bench.jobs.map((row) => [row.machine, row.part]));
            return bench;
        },
    });
}

export function useKinds() {
    return useQuery({
        queryKey: ['kinds'],
        queryFn: async () => orRefuse(await client.GET('/api/kinds')).kinds,
        staleTime: Infinity,
    });
}

/** Jobs by a word, surfaces by a size; what was found before stays until there is more. */
export function useFind(q: string, withinMm: number) {
    return useQuery({
        queryKey: ['find', q, withinMm],
        queryFn: async () =>
            orRefuse(await client.GET('/api/find', { params: { query: { q, within_mm: withinMm } } })),
        enabled: q.trim() !== '',
        placeholderData: keepPreviousData,
    });
}

/** Words of the trade and of this tool, said for a beginner. */
export function useGlossary() {
    return useQuery({
        queryKey: ['glossary'],
        queryFn: async () => orRefuse(await client.GET('/api/glossary')).words,
        staleTime: Infinity,
    });
}

export function useCatalogue() {
    return useQuery({
        queryKey: ['catalogue'],
        queryFn: async () => orRefuse(await client.GET('/api/catalogue')),
        staleTime: Infinity,
    });
}

export function useShop() {
    return useQuery(shopQuery);
}

export function useInstruments() {
    return useQuery({
        queryKey: ['instruments'],
        queryFn: async () => orRefuse(await client.GET('/api/instruments')).instruments,
    });
}

/** A fit looked up; the one before stays on the screen until the next is there. */
export function useFit(size: string, unit: Unit, fit: string) {
    return useQuery({
        queryKey: ['fit', size, unit, fit],
        queryFn: async () =>
            orRefuse(await client.POST('/api/fits/look', { body: { size: { typed: size, unit }, fit } })),
        enabled: size.trim() !== '' && fit.trim() !== '',
        placeholderData: keepPreviousData,
        staleTime: Infinity,
        retry: false,
    });
}

/** Fits by what they give, said in words. */
export function useFitWish(text: string, unit: Unit) {
    return useQuery({
        queryKey: ['fit-wish', text, unit],
        queryFn: async () => orRefuse(await client.POST('/api/fits/find', { body: { text, unit } })),
        enabled: text.trim() !== '',
        staleTime: Infinity,
        retry: false,
    });
}

/** Which bearing it is: by its stamp, or by what was measured of it. */
export function useBearing(stamp: string, sizes: string[], unit: Unit) {
    const typed = (text: string | undefined) =>
        text === undefined || text.trim() === '' ? undefined : { typed: text, unit };
    const [bore, outside, width] = sizes.map(typed);
    return useQuery({
        queryKey: ['bearing', stamp, sizes, unit],
        queryFn: async () =>
            orRefuse(
                await client.POST('/api/bearings/find', {
                    body:
                        stamp.trim() === ''
                            ? { ...(bore && { bore }), ...(outside && { outside }), ...(width && { width }) }
                            : { designation: stamp },
                }),
            ),
        enabled: stamp.trim() !== '' || sizes.some((size) => size.trim() !== ''),
        staleTime: Infinity,
        retry: false,
    });
}

export function useGauges() {
    return useQuery({
        queryKey: ['gauges'],
        queryFn: async () => orRefuse(await client.GET('/api/gauges')).gauges,
        staleTime: Infinity,
    });
}

/** What a gauge shows, asked again and again while it is in use; one that fell silent is asked on. */
export function useGauge(gauge: string, held: { along: number; angle: number }) {
    return useQuery({
        queryKey: ['gauge', gauge, held.along, held.angle],
        queryFn: async () =>
            orRefuse(await client.GET('/api/gauges/{gauge}', { params: { path: { gauge }, query: held } })),
        enabled: gauge !== '',
        refetchInterval: 600,
        retry: false,
        gcTime: 0,
    });
}
