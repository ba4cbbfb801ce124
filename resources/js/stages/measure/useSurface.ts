import { useEffect } from 'react';
import { useSearchParams } from 'react-router';
import type { Surface, SurfaceAnswer } from '../../api/types';
import { useJob } from '../../job/JobContext';

interface Here {
    surface: Surface | undefined;
    answer: SurfaceAnswer | undefined;
    /** Found surfaces, the ones to be measured, in their order. */
    all: Surface[];
    index: number;
    go: (id: string) => void;
    step: (by: number) => void;
}

/** Which surface is being measured: the address says; else the first that needs it. */
export function useSurface(): Here {
    const { facts, answers } = useJob();
    const [params, setParams] = useSearchParams();
    const all = answers.surfaces.flatMap((a) => facts.surfaces.filter((s) => s.id === a.id));
    const wanted =
        params.get('at') ??
        (
            answers.surfaces.find((a) => a.found === null && a.asks.must) ??
            answers.surfaces.find((a) => a.found === null)
        )?.id;
    const place = all.findIndex((s) => s.id === wanted);
    const index = place < 0 ? 0 : place;
    const surface = all[index];
    const go = (id: string) => setParams({ at: id }, { replace: true });
    // Stay at the surface one began with, also when its first reading makes another the next to measure.
    const pinned = params.has('at');
    useEffect(() => {
        if (!pinned && surface) {
            setParams({ at: surface.id }, { replace: true });
        }
    }, [pinned, surface, setParams]);
    return {
        surface,
        answer: answers.surfaces.find((a) => a.id === surface?.id),
        all,
        index,
        go,
        step: (by) => {
            const next = all[(index + by + all.length) % all.length];
            if (next) {
                go(next.id);
            }
        },
    };
}
