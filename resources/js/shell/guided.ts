const KEY = 'oldpart-fit-guide';
const CLOSED = 'closed';

/** Which job is guided: the first that is begun on this device, until the guide is closed for good. */
export const guide = {
    begin: (job: string): void => {
        if (localStorage.getItem(KEY) === null) {
            localStorage.setItem(KEY, job);
        }
    },
    isFor: (job: string): boolean => localStorage.getItem(KEY) === job,
    close: (): void => localStorage.setItem(KEY, CLOSED),
};
