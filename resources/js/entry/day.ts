/** Shop English for a time: the date alone. */
export function day(iso: string | null): string {
    return iso === null
        ? ''
        : new Date(iso).toLocaleDateString(undefined, { day: 'numeric', month: 'long', year: 'numeric' });
}
