import type { BatchFacts } from '../../api/types';
import { useJob } from '../../job/JobContext';

const NOTHING: BatchFacts = { piece: 1, every: 1, scrapped: [], mates: [] };

/** How the batch is run, and a way to change it. */
export function useBatch() {
    const { facts, editHead } = useJob();
    return {
        batch: facts.batch ?? NOTHING,
        change: (of: (now: BatchFacts) => Partial<BatchFacts>) =>
            editHead((now) => ({
                batch: { ...(now.batch ?? NOTHING), ...of(now.batch ?? NOTHING) },
            })),
    };
}
