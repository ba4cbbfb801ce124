import { useQueryClient } from '@tanstack/react-query';
import { jobKey, useBench, useGlossary } from '../api/queries';
import { useSums } from '../sums/useSums';
import type { Finds, JobState } from '../api/types';
import { useSettings } from './settings';
import { STAGES } from './stages';

export interface Place {
    label: string;
    detail: string;
    group: string;
    /** Where it is, or what is done. */
    to: string | (() => void);
}

/** Places that are always there, with what people look for under other names. */
const ALWAYS: { label: string; detail: string; words: string; to: string }[] = [
    { label: 'Bench', detail: '', words: 'home jobs start', to: '/' },
    { label: 'Archive', detail: '', words: 'old done jobs', to: '/?shelf=archive' },
    { label: 'Bin', detail: '', words: 'deleted removed jobs', to: '/?shelf=bin' },
    {
        label: 'Shop',
        detail: 'its name, lathe, press, gauges, recipes',
        words: 'settings setup unit machines instruments rate',
        to: '/shop',
    },
    { label: 'Tables', detail: 'fits, bearings', words: 'iso limits handbook', to: '/tables' },
    {
        label: 'Practice',
        detail: 'lessons on simulated parts',
        words: 'learn train lesson exercise',
        to: '/practice',
    },
    { label: 'Sums', detail: 'without a job', words: 'calculator', to: '/sums' },
];

/** What a word leads to, in the order it stands: what is at hand, what the shop found, sums and words. */
interface Places {
    /** This job's surfaces, joints and stages, what can be done here, the places that are always there. */
    atHand: Place[];
    sumsAndWords: Place[];
}

export function usePlaces(
    jobId: string | undefined,
    text: string,
    doings: Place[],
    mean: (word: string) => void,
): Places {
    const sums = useSums();
    const words = useGlossary();
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
    const sought = text
        .toLowerCase()
        .split(/\s+/)
        .filter((word) => word !== '');
    const has = (...texts: string[]) => {
        const all = texts.join(' ').toLowerCase();
        return sought.every((word) => all.includes(word));
    };
    const atHand = [
        ...places.filter((place) => has(place.label)),
        ...doings.filter((one) => has(one.label, one.detail)),
        ...ALWAYS.filter((one) => has(one.label, one.detail, one.words)).map(({ label, detail, to }) => ({
            label,
            detail,
            group: 'Places',
            to,
        })),
    ];
    const sumsAndWords: Place[] = [];
    if (sought.length > 0) {
        for (const sum of (sums.data ?? []).filter((one) => has(one.title, one.says)).slice(0, 6)) {
            sumsAndWords.push({
                label: sum.title,
                detail: sum.says,
                group: 'Sums',
                to: `/sums?sum=${sum.name}`,
            });
        }
        for (const one of (words.data ?? []).filter((w) => has(w.word, ...w.also)).slice(0, 4)) {
            sumsAndWords.push({
                label: one.word,
                detail: one.says,
                group: 'Words',
                to: () => mean(one.word),
            });
        }
    }
    return { atHand, sumsAndWords };
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
