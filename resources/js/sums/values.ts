/** What a sum takes and gives in words and units. */

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

export type Words = Record<string, string>;

/** A field's name in words, and its unit. */
export function labelled(key: string, known: Words = {}): { name: string; unit: string } {
    const plain = plainly(key);
    return { ...plain, name: known[key] ?? plain.name };
}

function plainly(key: string): { name: string; unit: string } {
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

/** A way round, to be marked on the work: nobody sets it closer than half a degree. */
export const isWayRound = (key: string) => /(direction|plane|high)_deg$/.test(key);

/** A number with as many figures as its unit carries, to be read. */
export function figure(value: number, unit: string, roundly = false): string {
    return digits(value, unit, roundly)
        .replace(/^-(0(\.0+)?)$/, '$1')
        .replace(/^-/, '−');
}

function digits(value: number, unit: string, roundly: boolean): string {
    if (roundly) {
        return value.toFixed(0);
    }
    if (Number.isInteger(value) && unit !== 'mm' && unit !== 'in') {
        return String(value);
    }
    const places = unit === 'mm' ? 3 : unit === 'in' ? 4 : unit === '°' ? 3 : null;
    return places === null ? String(Number(value.toPrecision(5))) : value.toFixed(places);
}
