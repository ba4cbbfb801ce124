/** Rows under a heading, or a name and its value a line, taken apart for fields and put together again. */

export interface Rows {
    heads: string[];
    cells: string[][];
}

const cut = (line: string, by: RegExp) => line.split(by).map((cell) => cell.trim());

export function rowsOf(text: string, heads: string[]): Rows {
    const lines = text.split('\n').filter((line) => line.trim() !== '');
    const first = lines[0];
    if (first === undefined) {
        return { heads, cells: [] };
    }
    const its = cut(first, /[;,\t]/);
    return {
        heads: its,
        cells: lines.slice(1).map((line) => {
            // A space just typed inside a cell stays: the next word follows it.
            const ours = line.split(';').map((cell) => cell.replace(/^ /, ''));
            const parted = [ours, ...[/\t/, /,\s+/, /,/].map((by) => cut(line, by))];
            return parted.find((cells) => cells.length === its.length) ?? ours;
        }),
    };
}

/** With semicolons, so that a comma may stand in a number. What is empty at the end is left out. */
export function rowsText({ heads, cells }: Rows): string {
    const full = [...cells];
    while (full.at(-1)?.every((cell) => cell.trim() === '')) {
        full.pop();
    }
    return full.length === 0 ? '' : [heads, ...full].map((row) => row.join('; ')).join('\n');
}

export function namedOf(text: string): Record<string, string> {
    return Object.fromEntries(
        text
            .split('\n')
            .filter((line) => line.includes(':'))
            .map((line) => {
                const at = line.indexOf(':');
                return [line.slice(0, at).trim(), line.slice(at + 1).replace(/^ /, '')] as const;
            }),
    );
}

export function namedText(values: Record<string, string>): string {
    return Object.entries(values)
        .filter(([, value]) => value.trim() !== '')
        .map(([name, value]) => `${name}: ${value}`)
        .join('\n');
}
