import TextField, { type TextFieldProps } from '@mui/material/TextField';
import type { Understood } from './understood';

interface Props extends Omit<TextFieldProps, 'value' | 'onChange' | 'error' | 'helperText'> {
    value: string;
    typed: (text: string) => void;
    /** What it was read as, or why it can't be; said below once something stands in it. */
    understood?: Understood | null;
    /** What the store said against it: that goes first. */
    refused?: string | null;
    /** Where a small amount is meant, it is read back in thou and µm. */
    small?: boolean;
    /** Said below while nothing else is. */
    says?: string;
}

/** The one field that sizes are typed in: large figures, and below them what was understood. */
export function TypedField({
    value,
    typed,
    understood = null,
    refused = null,
    small,
    says,
    ...field
}: Props) {
    const complaint = refused ?? (value === '' ? null : (understood?.refused ?? null));
    const read = value === '' ? null : ((small ? understood?.fine : null) ?? understood?.shown ?? null);
    return (
        <TextField
            {...field}
            value={value}
            error={complaint !== null}
            helperText={complaint ?? read?.both ?? says ?? ' '}
            className="typed"
            slotProps={{ htmlInput: { autoComplete: 'off' } }}
            onChange={(event) => typed(event.target.value)}
        />
    );
}
