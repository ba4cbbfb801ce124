import type { TypedLength, Unit } from '../api/types';

/** What was typed, with its unit where the field would take a bare number otherwise. */
export function typedText(length: { typed: string; unit: Unit } | TypedLength | null, shown: Unit): string {
    if (length === null) {
        return '';
    }
    const { typed, unit } = length;
    // A unit that was typed stands; an inch fraction is inches in any field.
    if (unit === shown || /[a-zµμ"″”#]/i.test(typed) || /^\s*(\d+[ -])?\d+\/\d+\s*$/.test(typed)) {
        return typed;
    }
    return /^[\d.,\s-]*$/.test(typed.trim().slice(1)) && !/\d\s*-/.test(typed)
        ? `${typed} ${unit}`
        : `(${typed}) ${unit}`;
}
