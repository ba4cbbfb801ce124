import { useState, type KeyboardEvent } from 'react';
import type { Unit } from '../api/types';
import { TypedField } from './TypedField';
import { useUnderstood } from './useUnderstood';

interface Props {
    label: string;
    value: string;
    unit: Unit;
    signed?: boolean;
    /** Where a small amount is meant, it is read back in thou and µm. */
    small?: boolean;
    /** Stores what was typed when Enter is pressed or the field is left. */
    store: (typed: string) => Promise<unknown>;
    /** Where it may be left out: takes it away when the field is emptied. */
    clear?: () => Promise<unknown>;
}

/** One field for lengths: takes whatever the shop types, says what it understood in both units, keeps the text. */
export function LengthField({ label, value, unit, signed = false, small = false, store, clear }: Props) {
    const [text, setText] = useState(value);
    const [known, setKnown] = useState(value);
    const [refused, setRefused] = useState<string | null>(null);
    const understood = useUnderstood(text, unit, signed);
    if (value !== known) {
        setKnown(value);
        if (text === known) {
            setText(value);
        }
    }
    const keep = () => {
        const empties = text.trim() === '' && value !== '' && clear !== undefined;
        if (empties || (text.trim() !== '' && text !== value)) {
            (empties ? clear() : store(text)).then(
                () => setRefused(null),
                (error: Error) => setRefused(error.message),
            );
        }
    };
    return (
        <TypedField
            label={label}
            value={text}
            understood={understood}
            refused={refused}
            small={small}
            typed={(typed) => {
                setText(typed);
                setRefused(null);
            }}
            onKeyDown={(event: KeyboardEvent) => {
                if (event.key === 'Enter') {
                    event.preventDefault();
                    keep();
                }
            }}
            onBlur={keep}
        />
    );
}
