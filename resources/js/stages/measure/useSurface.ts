import { useEffect } from 'react';
import { useSearchParams } from '../../shell/router';
import type { Reading, Surface, SurfaceAnswer } from '../../api/types';
import { useJob } from '../../job/JobContext';

interface Here {
    surface: Surface | undefined;
    answer: SurfaceAnswer | undefined;
    /** What is to be measured, in its order: a surface that is cut once for each state it is read in. */
    all: SurfaceAnswer[];
    index: number;
    go: (id: string) => void;
    step: (by: number) => void;
}

/** Which surface is being measured: the address says; else the first that needs it. */
export function useSurface(): Here {
    const { facts, answers } = useJob();
    const [params, setParams] = useSearchParams();
    const all = answers.surfaces;
    const wanted =
        params.get('at') ??
        (
            answers.surfaces.find((a) => a.found === null && a.asks.must) ??
            answers.surfaces.find((a) => a.found === null && !a.folded && a.state !== 'done')
        )?.id;
    const place = all.findIndex((s) => s.id === wanted);
    const index = place < 0 ? 0 : place;
    const answer = all[index];
    const surface = facts.surfaces.find((s) => s.id === answer?.surface);
    const go = (id: string) =>
        setParams(
            (now) => {
                now.set('at', id);
                return now;
            },
            { replace: true },
        );
    // Stay at the surface one began with, also when its first reading makes another the next to measure.
    const pinned = params.has('at');
    useEffect(() => {
        if (!pinned && answer) {
            setParams(
                (now) => {
                    now.set('at', answer.id);
                    return now;
                },
                { replace: true },
            );
        }
    }, [pinned, answer, setParams]);
    return {
        surface,
        answer,
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

/** It is a reading of just this: of the surface or of one of its dimensions, in this state; what stays has one state. */
export function isOf(reading: Reading, answer: Pick<SurfaceAnswer, 'state' | 'what'>): boolean {
    return (
        (reading.what ?? '') === answer.what &&
        (answer.state === null || (reading.state ?? 'before') === answer.state)
    );
}
