/** What a sum takes and gives, written as lines a person can type: a number, a word, rows of numbers. */

const UNITS: Record<string, string> = {
    mm: 'mm',
    in: 'in',
    um: 'µm',
    thou: 'thou',
    deg: '°',
    c: '°C',
    k: 'K',
    s: 's',
    kg: 'kg',
    mpa: 'MPa',
    gpa: 'GPa',
    kpa: 'kPa',
    n: 'N',
    nm: 'N m',
    rpm: 'a minute',
    gmm: 'g mm',
    mm2: 'mm²',
    mm3: 'mm³',
};

const LONGER: [string, string][] = [
    ['_m_min', 'm/min'],
    ['_mm_min', 'mm/min'],
    ['_kg_m3', 'kg/m³'],
    ['_per_k', 'per K'],
    ['_per_h', 'an hour'],
];

/** A field's name in words, and its unit. */
export function labelled(key: string): { name: string; unit: string } {
    const words = (text: string) => {
        const plain = text.replaceAll('_', ' ');
        return plain.charAt(0).toUpperCase() + plain.slice(1);
    };
    for (const [end, unit] of LONGER) {
        if (key.endsWith(end)) {
            return { name: words(key.slice(0, -end.length)), unit };
        }
    }
    const at = key.lastIndexOf('_');
    const unit = at < 0 ? undefined : UNITS[key.slice(at + 1)];
    return unit === undefined ? { name: words(key), unit: '' } : { name: words(key.slice(0, at)), unit };
}

const isObject = (value: unknown): value is Record<string, unknown> =>
    typeof value === 'object' && value !== null && !Array.isArray(value);

const one = (value: unknown): string => (Array.isArray(value) ? value.map(one).join(' ') : String(value));

/** As it is typed: rows under their heading, or a name and its value a line. */
export function written(value: unknown): string {
    if (Array.isArray(value) && value.some(isObject)) {
        const rows = value.filter(isObject);
        const keys = [...new Set(rows.flatMap((row) => Object.keys(row)))];
        return [
            keys.join(', '),
            ...rows.map((row) => keys.map((key) => (key in row ? one(row[key]) : '')).join(', ')),
        ].join('\n');
    }
    if (Array.isArray(value)) {
        return value.map(one).join(', ');
    }
    if (isObject(value)) {
        return Object.entries(value)
            .map(([key, its]) => `${key}: ${one(its)}`)
            .join('\n');
    }
    return value === undefined || value === null ? '' : String(value);
}

function single(text: string): unknown {
    const plain = text.trim();
    if (plain === 'true' || plain === 'yes') {
        return true;
    }
    if (plain === 'false' || plain === 'no') {
        return false;
    }
    const number = Number(plain.replace(',', '.'));
    if (plain !== '' && Number.isFinite(number)) {
        return number;
    }
    const parts = plain.split(/\s+/);
    return parts.length > 1 && parts.every((part) => part !== '' && Number.isFinite(Number(part)))
        ? parts.map(Number)
        : plain;
}

const INCHES = /^(?:(\d+)[ -])?(?:(\d+)\/(\d+)|(-?\d*\.?\d+))\s*(?:in|")$/;

/** A size that was typed with its inches, in the millimetres its field is in. */
export function inMillimetres(text: string): string {
    const read = INCHES.exec(text.trim());
    if (read === null) {
        return text;
    }
    const [, whole, top, bottom, plain] = read;
    const inches = plain === undefined ? Number(whole ?? 0) + Number(top) / Number(bottom) : Number(plain);
    return String(Number((inches * 25.4).toFixed(9)));
}

/** What was typed, in the shape of what the field is like; undefined where nothing was. */
export function understood(text: string, like: unknown): unknown {
    const lines = text
        .split('\n')
        .map((line) => line.trim())
        .filter((line) => line !== '');
    if (lines.length === 0) {
        return undefined;
    }
    if (isObject(like) || (like === undefined && lines.every((line) => /^\w+\s*:/.test(line)))) {
        return Object.fromEntries(
            lines.map((line) => {
                const at = line.indexOf(':');
                return [line.slice(0, Math.max(0, at)).trim(), single(line.slice(at + 1))];
            }),
        );
    }
    const rows = Array.isArray(like) ? like.some(isObject) : lines.length > 1;
    if (rows) {
        const keys = (lines[0] ?? '').split(/\s*,\s*/);
        return lines.slice(1).map((line) =>
            Object.fromEntries(
                line
                    .split(/\s*,\s*/)
                    .map((cell, i) => [keys[i] ?? `column ${i + 1}`, single(cell)] as const)
                    .filter(([, value]) => value !== ''),
            ),
        );
    }
    if (Array.isArray(like)) {
        return text
            .split(/[\s,;]+/)
            .filter((part) => part !== '')
            .map(single);
    }
    return typeof like === 'string' ? text.trim() : single(text);
}

/** A number with as many figures as its unit carries. */
export function figure(value: number, unit: string): string {
    if (Number.isInteger(value) && unit !== 'mm' && unit !== 'in') {
        return String(value);
    }
    const places = unit === 'mm' ? 3 : unit === 'in' ? 4 : unit === '°' ? 3 : null;
    return places === null
        ? String(Number(value.toPrecision(5)))
        : value.toFixed(places).replace(/^-(0\.0+)$/, '$1');
}
