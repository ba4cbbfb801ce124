import TextField from '@mui/material/TextField';
import { useState, type KeyboardEvent } from 'react';
import type { Unit } from '../api/types';
import { mono } from '../theme/theme';
import { useUnderstood } from './useUnderstood';

interface Props {
    label: string;
    value: string;
    unit: Unit;
    signed?: boolean;
    /** Stores what was typed when Enter is pressed or the field is left. */
    store: (typed: string) => Promise<unknown>;
    /** Empties the field once it is stored, ready for the next. */
    clears?: boolean;
    autoFocus?: boolean;
    inputRef?: React.Ref<HTMLInputElement>;
    onEnter?: () => void;
    storeOnBlur?: boolean;
    onTyping?: (typed: string) => void;
}

/** One field for lengths: takes whatever the shop types, says what it understood in both units, keeps the text. */
export function LengthField(props: Props) {
    const { label, value, unit, signed = false, store, clears = false, storeOnBlur = true } = props;
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
    const keep = (then?: () => void) => {
        if (text.trim() === '' || (text === value && !clears)) {
            then?.();
            return;
        }
        store(text).then(
            () => {
                setRefused(null);
                if (clears) {
                    setText('');
                }
                then?.();
            },
            (error: Error) => setRefused(error.message),
        );
    };
    const help = refused ?? understood?.refused ?? (text.trim() !== '' && understood?.shown?.both) ?? ' ';
    return (
        <TextField
            label={label}
            value={text}
            autoFocus={props.autoFocus}
            inputRef={props.inputRef}
            error={refused !== null || (understood?.refused ?? null) !== null}
            helperText={help === false || help === undefined ? ' ' : help}
            slotProps={{
                htmlInput: {
                    inputMode: 'text',
                    autoComplete: 'off',
                    style: { fontFamily: mono, fontSize: 20 },
                },
            }}
            onChange={(event) => {
                setText(event.target.value);
                setRefused(null);
                props.onTyping?.(event.target.value);
            }}
            onKeyDown={(event: KeyboardEvent) => {
                if (event.key === 'Enter') {
                    event.preventDefault();
                    keep(props.onEnter);
                }
            }}
            onBlur={storeOnBlur ? () => keep() : undefined}
        />
    );
}
