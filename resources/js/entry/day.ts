import { dated } from '../speak/language';

/** A day as this device reads it. */
export function day(iso: string | null): string {
    return iso === null ? '' : dated(new Date(iso), { day: 'numeric', month: 'short', year: 'numeric' });
}

/** A moment soon to come: day and hour. */
export function moment(iso: string): string {
    return dated(new Date(iso), {
        weekday: 'short',
        day: 'numeric',
        month: 'short',
        hour: '2-digit',
        minute: '2-digit',
    });
}
