import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { client, orRefuse } from './client';
import type { Shelf } from './types';

export const jobKey = (id: string) => ['job', id] as const;

export function useJobState(id: string) {
    return useQuery({
        queryKey: jobKey(id),
        queryFn: async () => orRefuse(await client.GET('/api/jobs/{job}', { params: { path: { job: id } } })),
    });
}

export function useBench(shelf: Shelf = 'bench') {
    return useQuery({
        queryKey: ['bench', shelf],
        queryFn: async () => orRefuse(await client.GET('/api/jobs', { params: { query: { shelf } } })),
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

export function useCatalogue() {
    return useQuery({
        queryKey: ['catalogue'],
        queryFn: async () => orRefuse(await client.GET('/api/catalogue')),
        staleTime: Infinity,
    });
}

export function useShop() {
    return useQuery({ queryKey: ['shop'], queryFn: async () => orRefuse(await client.GET('/api/shop')) });
}
