import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useTextFact } from './useTextFact';

interface Props extends Omit<TextFieldProps, 'value' | 'onChange' | 'defaultValue'> {
    value: string;
    /** Stores what was typed; a refusal is shown under the field, and the text stays. */
    store: (text: string) => Promise<unknown>;
    /** What to say of a text while it is typed. */
    echo?: (text: string) => string | null;
}

/** A text that is stored as it is typed. */
export function TextFact({ value, store, echo, helperText, ...field }: Props) {
    const { text, refused, change, flush } = useTextFact(value, store);
    return (
        <TextField
            {...field}
            value={text}
            error={refused !== null}
            helperText={refused ?? (text === value ? null : echo?.(text)) ?? helperText}
            onChange={(event) => change(event.target.value)}
            onBlur={flush}
        />
    );
}
