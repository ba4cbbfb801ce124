/** A value as a person would have typed it. */
export function inWords(value: unknown): string {
    if (value === null || value === undefined || value === '') {
        return '–';
    }
    if (typeof value === 'object') {
        if ('typed' in value && 'unit' in value) {
            return `${String(value.typed)} ${String(value.unit)}`;
        }
        return Array.isArray(value)
            ? value.map(inWords).join(', ')
            : Object.entries(value)
                  .map(([field, inner]) => `${field.replaceAll('_', ' ')} ${inWords(inner)}`)
                  .join(', ');
    }
    return String(value);
}
