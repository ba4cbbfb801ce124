import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useEffect, useRef, useState } from 'react';

interface Props extends Omit<TextFieldProps, 'value' | 'onChange' | 'defaultValue'> {
    value: string;
    /** Stores what was typed; a refusal is shown under the field, and the text stays. */
    store: (text: string) => Promise<unknown>;
    /** What to say of a text while it is typed. */
    echo?: (text: string) => string | null;
}

const PAUSE = 500;

/** A text that is stored as it is typed. */
export function TextFact({ value, store, echo, helperText, ...field }: Props) {
    const [text, setText] = useState(value);
    const [known, setKnown] = useState(value);
    const [refused, setRefused] = useState<string | null>(null);
    const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
    const latest = useRef({ text, value, store });
    const here = useRef(true);
    useEffect(() => {
        latest.current = { text, value, store };
    });
    if (value !== known) {
        setKnown(value);
        if (text === known) {
            setText(value);
        }
    }
    const flush = () => {
        clearTimeout(timer.current);
        const now = latest.current;
        if (now.text !== now.value) {
            now.store(now.text).then(
                () => setRefused(null),
                (error: Error) => {
                    if (!here.current) {
                        // The field is gone: its refusal is listed with those that no screen shows.
                        throw error;
                    }
                    setRefused(error.message);
                },
            );
        }
    };
    useEffect(() => {
        here.current = true;
        return () => {
            here.current = false;
            flush();
        };
    }, []);
    return (
        <TextField
            {...field}
            value={text}
            error={refused !== null}
            helperText={refused ?? (text === value ? null : echo?.(text)) ?? helperText}
            onChange={(event) => {
                setText(event.target.value);
                clearTimeout(timer.current);
                timer.current = setTimeout(flush, PAUSE);
            }}
            onBlur={flush}
        />
    );
}
