import { useQueryClient } from '@tanstack/react-query';
import { client, orRefuse, outlives } from '../api/client';
import type { InstrumentChange } from '../api/types';

/** Stores what was changed of an instrument; every list that shows it is read anew. */
export function useInstrumentChange() {
    const queries = useQueryClient();
    const anew = async () => {
        await Promise.all(
            ['instruments', 'catalogue', 'job', 'bench'].map((key) =>
                queries.invalidateQueries({ queryKey: [key] }),
            ),
        );
    };
    const change = async (code: string, body: InstrumentChange) => {
        orRefuse(
            await client.PUT('/api/instruments/{instrument}', {
                ...outlives,
                params: { path: { instrument: code } },
                body,
            }),
        );
        await anew();
    };
    const usual = async (code: string) => {
        orRefuse(
            await client.DELETE('/api/instruments/{instrument}', {
                ...outlives,
                params: { path: { instrument: code } },
            }),
        );
        await anew();
    };
    return { change, usual };
}
