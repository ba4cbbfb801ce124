import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { client, newId, orRefuse } from '../api/client';
import type { Debrief, Deed, Drawing, PracticeBench } from '../api/types';
import type { paths } from '../api/schema';

type Asked = NonNullable<
    paths['/api/jobs/{job}/deeds']['post']['requestBody']
>['content']['application/json'];

export interface Done {
    deed: Deed;
    face: Drawing | null;
    bench: PracticeBench;
    debrief: Debrief | null;
}

const key = (job: string) => ['practice', job] as const;

/** What there is to practise, and what was practised. */
export function usePracticeList() {
    return useQuery({
        queryKey: ['practice'],
        queryFn: async () => orRefuse(await client.GET('/api/practice')),
    });
}

/** The simulated shop behind a job. */
export function usePracticeBench(job: string) {
    return useQuery({
        queryKey: key(job),
        queryFn: async () =>
            orRefuse(await client.GET('/api/jobs/{job}/practice', { params: { path: { job } } })),
        retry: false,
    });
}

/** Does one thing in it; what was refused is said. */
export function useDeed(job: string) {
    const queries = useQueryClient();
    const [refused, setRefused] = useState<string | null>(null);
    const act = async (deed: Omit<Asked, 'id'>): Promise<Done | null> => {
        setRefused(null);
        try {
            const done = orRefuse(
                await client.POST('/api/jobs/{job}/deeds', {
                    params: { path: { job } },
                    body: { id: newId(), ...deed },
                }),
            );
            queries.setQueryData(key(job), { bench: done.bench, debrief: done.debrief });
            if (done.debrief !== null) {
                await queries.invalidateQueries({ queryKey: ['practice'], exact: true });
            }
            return done;
        } catch (error) {
            setRefused(error instanceof Error ? error.message : 'It was not done: try again.');
            return null;
        }
    };
    return { act, refused };
}

/** Begins a lesson or free practice. */
export async function beginPractice(
    of: { lesson: string } | { kind: string; level: 'easy' | 'fair' | 'hard'; unit: 'in' | 'mm' },
    seed: number,
): Promise<string> {
    return orRefuse(await client.POST('/api/practice', { body: { id: newId(), seed, ...of } })).job;
}
