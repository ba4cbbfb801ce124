import { useQuery } from '@tanstack/react-query';
import { client, orRefuse } from '../api/client';

/** The book of sums. */
export function useSums() {
    return useQuery({
        queryKey: ['sums'],
        queryFn: async () => orRefuse(await client.GET('/api/sums')).sums,
        staleTime: Infinity,
    });
}
