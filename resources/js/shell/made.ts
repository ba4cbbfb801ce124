/** What a made size is, by its verdict. */
export const MADE: Record<string, string> = {
    inside: 'made, inside',
    'cannot-tell': 'made, near a limit',
    above: 'made, above its limits',
    below: 'made, below its limits',
};
