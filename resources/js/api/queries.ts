import { useQuery } from '@tanstack/react-query';
import { client, orRefuse } from './client';

export const jobKey = (id: string) => ['job', id] as const;

export function useJobState(id: string) {
    return useQuery({
        queryKey: jobKey(id),
        queryFn: async () => orRefuse(await client.GET('/api/jobs/{job}', { params: { path: { job: id } } })),
    });
}

export function useBench() {
    return useQuery({
        queryKey: ['bench'],
        queryFn: async () => orRefuse(await client.GET('/api/jobs')).jobs,
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
