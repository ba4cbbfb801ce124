import type { JobState } from '../../api/types';
import { useKept } from '../../entry/useKept';
import { useBatch } from './useBatch';

/** One size over the whole batch: the next piece is in hand as soon as one is logged, where that is wanted. */
export function useGoesOn() {
    return useKept('batch-goes-on', false);
}

export function useOnward(key: string) {
    const [goesOn] = useGoesOn();
    const { change } = useBatch();
    return goesOn
        ? (state: JobState) => {
              // One that still has metal on it stays in hand.
              if (state.answers.making.find((one) => one.key === key)?.state !== 'cut') {
                  void change((now) => ({ piece: now.piece + 1 }));
              }
          }
        : undefined;
}
