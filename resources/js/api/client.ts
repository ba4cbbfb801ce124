import createClient from 'openapi-fetch';
import { ask } from '../offline/ask';
import { device } from './device';
import type { paths } from './schema';

export { newId } from './ids';

export const client = createClient<paths>({
    baseUrl: '/',
    fetch: ask,
    headers: { 'X-Client': device() },
});

/** Of a small write that nothing keeps in the browser: it reaches the server though the page is left meanwhile. */
export const outlives = { keepalive: true } as const;

/** A refusal by the application, with a sentence for the user. */
export class Refused extends Error {
    constructor(
        readonly code: string,
        readonly field: string,
        message: string,
        /** Of the answer; 0 where it is not known. */
        readonly status = 0,
    ) {
        super(message);
    }
}

interface Answer<T> {
    data?: T;
    error?: unknown;
    response: Response;
}

/** The data of an answer, or the sentence it was refused with. */
export function orRefuse<T>(answer: Answer<T>): T {
    if (answer.data !== undefined) {
        return answer.data;
    }
    throw refusal(answer.error, answer.response.status);
}

export function refusal(error: unknown, status = 0): Refused {
    if (typeof error === 'object' && error !== null && 'error' in error) {
        const inner = (error as { error: { code: string; field: string; message: string } }).error;
        return new Refused(inner.code, inner.field, inner.message, status);
    }
    return new Refused('server', '', 'Something went wrong here. What you typed is kept; try again.', status);
}
