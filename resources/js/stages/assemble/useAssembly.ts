import type { AssemblyFacts } from '../../api/types';
import { useJob } from '../../job/JobContext';

const NOTHING: AssemblyFacts = {
    strip: [],
    conditions: [],
    order: [],
    checks: [],
    runs: [],
    limit_c: null,
    setbacks: [],
};

/** How it came apart and goes together, and a way to change it. */
export function useAssembly() {
    const { facts, editHead } = useJob();
    return {
        assembly: facts.assembly ?? NOTHING,
        change: (of: (now: AssemblyFacts) => Partial<AssemblyFacts>) =>
            editHead((now) => ({
                assembly: { ...(now.assembly ?? NOTHING), ...of(now.assembly ?? NOTHING) },
            })),
    };
}
