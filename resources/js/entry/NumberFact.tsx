import { readNumber } from './number';
import { TextFact } from './TextFact';

interface Props {
    label: string;
    value: number | null;
    store: (value: number | null) => Promise<unknown>;
    helperText?: string;
    /** Where it can't be left out: what to say when it is emptied. */
    needed?: string;
}

/** A plain number with the unit in its label; empty means not known. Says how it was read where that can be doubted. */
export function NumberFact({ label, value, store, helperText, needed }: Props) {
    return (
        <TextFact
            label={label}
            value={value === null ? '' : String(value)}
            helperText={helperText}
            echo={(text) => {
                const read = readNumber(text);
                return 'refused' in read ? read.refused : read.says;
            }}
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
            store={(text) => {
                const read = readNumber(text);
                if ('refused' in read) {
                    return Promise.reject(new Error(read.refused));
                }
                return read.value === null && needed !== undefined
                    ? Promise.reject(new Error(needed))
                    : store(read.value);
            }}
        />
    );
}
