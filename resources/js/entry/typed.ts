import type { TypedLength, Unit } from '../api/types';

/** What was typed, with its unit where the field would take a bare number otherwise. */
export function typedText(length: TypedLength | null, shown: Unit): string {
    if (length === null) {
        return '';
    }
    return length.unit === shown ? length.typed : `${length.typed} ${length.unit}`;
}
