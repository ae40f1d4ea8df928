/** A value of any field, short enough for one line. */
export function shown(value: unknown): string {
    if (value === null || value === undefined || value === '') return 'nothing';
    if (Array.isArray(value)) return value.map(shown).join('; ') || 'nothing';
    if (typeof value === 'object') {
        return Object.values(value)
            .filter((part) => part !== null && part !== '')
            .map(shown)
            .join(' ');
    }
    return String(value);
}
