import { rowsOf, rowsText } from '../../sums/texts';

export type What = 'known' | 'lengths' | 'circles' | 'angles';

/** What one taps in a photograph, and in which columns it is kept. */
export const TAPS: Record<What, { label: string; says: string; points: number; heads: string[] }> = {
    known: {
        label: 'Known length',
        says: 'Tap both ends of a length you know, then type it.',
        points: 2,
        heads: ['name', 'x1', 'y1', 'x2', 'y2', 'size_mm'],
    },
    lengths: {
        label: 'Length',
        says: 'Tap both ends.',
        points: 2,
        heads: ['name', 'x1', 'y1', 'x2', 'y2'],
    },
    circles: {
        label: 'Circle',
        says: 'Tap three places well round its edge.',
        points: 3,
        heads: ['name', 'x1', 'y1', 'x2', 'y2', 'x3', 'y3'],
    },
    angles: {
        label: 'Angle',
        says: 'Tap its corner, then a place on each arm.',
        points: 3,
        heads: ['name', 'x1', 'y1', 'x2', 'y2', 'x3', 'y3'],
    },
};

export const KINDS = Object.keys(TAPS) as What[];

export interface Tapped {
    what: What;
    at: number;
    name: string;
    size: string;
    points: [number, number][];
}

export function tapped(given: Record<string, string>): Tapped[] {
    return KINDS.flatMap((what) => {
        const { heads, cells } = rowsOf(given[what] ?? '', TAPS[what].heads);
        return cells.map((row, at) => {
            const cell = (head: string) => row[heads.indexOf(head)] ?? '';
            return {
                what,
                at,
                name: cell('name'),
                size: cell('size_mm'),
                points: Array.from(
                    { length: TAPS[what].points },
                    (_, i) => [Number(cell(`x${i + 1}`)), Number(cell(`y${i + 1}`))] as [number, number],
                ),
            };
        });
    });
}

/** The text that keeps all of one kind. */
export function tappedText(what: What, all: Tapped[]): string {
    return rowsText({
        heads: TAPS[what].heads,
        cells: all
            .filter((one) => one.what === what)
            .map((one) => [
                one.name,
                ...one.points.flatMap(([x, y]) => [
                    String(Math.round(x * 10) / 10),
                    String(Math.round(y * 10) / 10),
                ]),
                ...(what === 'known' ? [one.size] : []),
            ]),
    });
}
