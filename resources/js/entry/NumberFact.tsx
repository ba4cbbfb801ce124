import { TextFact } from './TextFact';

interface Props {
    label: string;
    value: number | null;
    store: (value: number | null) => Promise<unknown>;
    helperText?: string;
}

/** A plain number with the unit in its label; empty means not known. */
export function NumberFact({ label, value, store, helperText }: Props) {
    return (
        <TextFact
            label={label}
            value={value === null ? '' : String(value)}
            helperText={helperText}
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
            store={(text) => {
                const clean = text.trim().replace(',', '.');
                if (clean === '') {
                    return store(null);
                }
                const number = Number(clean);
                return Number.isFinite(number)
                    ? store(number)
                    : Promise.reject(new Error(`“${text}” is not a number. Type one like 18.5.`));
            }}
        />
    );
}
