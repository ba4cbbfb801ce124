/** What most would reach for first. */
export const USUAL_INSTRUMENT: Record<string, string> = {
    bore: 'three-point',
    shaft: 'outside-micrometer',
    length: 'calliper',
};
