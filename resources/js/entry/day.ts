/** Shop English for a time: the date alone. */
export function day(iso: string | null): string {
    return iso === null
        ? ''
        : new Date(iso).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' });
}

/** A moment soon to come: day and hour. */
export function moment(iso: string): string {
    return new Date(iso).toLocaleString(undefined, {
        weekday: 'short',
        day: 'numeric',
        month: 'short',
        hour: '2-digit',
        minute: '2-digit',
    });
}
