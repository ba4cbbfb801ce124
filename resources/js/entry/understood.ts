import type { Say } from '../api/types';
import type { Previewed } from '../job/JobContext';

/** What a typed length is understood as, in both units, or why it can't be read. */
export interface Understood {
    text: string;
    shown: Say | null;
    /** Of less than a tenth of a millimetre: in thou and µm. */
    fine: Say | null;
    refused: string | null;
}

/** Of a preview what it says of one field: a refusal of something else is not that field's. */
export function ofField({ understood, refused }: Previewed, field: string): Omit<Understood, 'text'> {
    const mine = refused !== null && (refused.field === field || refused.field.endsWith(`.${field}`));
    return {
        shown: understood[field]?.shown ?? null,
        fine: understood[field]?.fine ?? null,
        refused: mine ? refused.message : null,
    };
}
