import type { Surface } from '../api/types';
import { useJob } from '../job/JobContext';
import { TextFact } from './TextFact';

/** What a shape is, as the trade writes it. */
export function ItIs({ surface }: { surface: Surface }) {
    const { save } = useJob();
    return (
        <TextFact
            label="It is (as M10, 1:10, 8 × 7)"
            value={surface.shape ?? ''}
            store={(text) => save('surfaces', surface.id, { shape: text.trim() === '' ? null : text })}
            sx={{ flex: '0 1 16.25rem' }}
        />
    );
}
