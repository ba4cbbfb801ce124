/** What a plain number was read as: the number, nothing where the field is empty, or a sentence that asks. */
export type ReadNumber = { value: number | null; says: string | null } | { refused: string };

/**
 * Reads a number as shops type it: a point or a comma before the decimals. Where three digits follow a comma nobody can
 * know whether thousands are meant, so it asks.
 */
export function readNumber(text: string, example = '18.5'): ReadNumber {
    const clean = text.trim().replace(/^[−–]/, '-');
    if (clean === '') {
        return { value: null, says: null };
    }
    if (/^[-+]?[1-9]\d{0,2}(,\d{3})+(\.\d+)?$/.test(clean)) {
        const large = clean.replaceAll(',', '');
        const small = clean.replace(',', '.');
        return {
            refused: /,.*[,.]/.test(clean)
                ? `“${text.trim()}”: type it without marks between thousands, ${large}.`
                : `“${text.trim()}”: is it ${large}, or ${String(Number(small))}? Type it so.`,
        };
    }
    const plain = clean.replace(',', '.');
    const number = Number(plain);
    if (!/^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i.test(plain) || !Number.isFinite(number)) {
        return { refused: `“${text.trim()}” is not a number. Type one like ${example}.` };
    }
    return { value: number, says: clean.includes(',') ? `read as ${number}` : null };
}
