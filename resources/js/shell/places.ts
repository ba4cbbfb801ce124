import { useQueryClient } from '@tanstack/react-query';
import { jobKey, useBench } from '../api/queries';
import type { Finds, JobState } from '../api/types';
import { useSettings } from './settings';
import { STAGES } from './stages';

export interface Place {
    label: string;
    detail: string;
    group: string;
    to: string;
}

/** What is at hand: this job's surfaces, joints and stages, the jobs on the bench, the places. */
export function usePlaces(jobId: string | undefined, text: string): Place[] {
    const bench = useBench();
    const queries = useQueryClient();
    const state = jobId === undefined ? undefined : queries.getQueryData<JobState>(jobKey(jobId));
    const places: Place[] = [];
    if (state && jobId !== undefined) {
        for (const surface of state.facts.surfaces) {
            const part = state.facts.parts.find((p) => p.id === surface.part);
            places.push({
                label: surface.name,
                detail: part?.name ?? '',
                group: 'Surfaces of this job',
                to: part?.origin === 'make' ? `/job/${jobId}/make` : `/job/${jobId}/measure?at=${surface.id}`,
            });
        }
        for (const joint of state.facts.joints) {
            places.push({
                label: joint.name,
                detail: '',
                group: 'Joints of this job',
                to: `/job/${jobId}/size?at=${joint.id}`,
            });
        }
        for (const stage of STAGES) {
            places.push({
                label: stage.name,
                detail: '',
                group: 'Stages',
                to: `/job/${jobId}/${stage.code}`,
            });
        }
    }
    if (text.trim() === '') {
        for (const row of bench.data?.jobs ?? []) {
            places.push({
                label: `${row.machine}: ${row.part}`,
                detail: '',
                group: 'Jobs',
                to: `/job/${row.id}/${row.next.stage}`,
            });
        }
    }
    places.push(
        { label: 'Bench', detail: '', group: 'Places', to: '/' },
        { label: 'Shop', detail: '', group: 'Places', to: '/shop' },
    );
    const word = text.trim().toLowerCase();
    return places.filter((place) => place.label.toLowerCase().includes(word));
}

export function remote(found: Finds | undefined, say: ReturnType<typeof useSettings>['say']): Place[] {
    return [
        ...(found?.surfaces ?? []).map((s) => ({
            label: `${say(s.size)} · ${s.name}`,
            detail: `${s.machine}${s.part === s.name ? '' : `, ${s.part.toLowerCase()}`}`,
            group: 'Sizes',
            to: s.made ? `/job/${s.job}/make` : `/job/${s.job}/measure?at=${s.surface}`,
        })),
        ...(found?.jobs ?? []).map((job) => ({
            label: `${job.machine}: ${job.part}`,
            detail: job.state === 'done' ? 'done' : say(job.next.says),
            group: 'Jobs',
            to: `/job/${job.id}/${job.next.stage}`,
        })),
    ];
}
