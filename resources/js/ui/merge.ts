/** Continues a form from what others have saved in the meantime: untouched fields take the saved values, touched ones stay as typed. */
export function merged<T extends object>(base: T, mine: T, now: T): T {
    const touched = Object.entries(mine).filter(
        ([field, value]) => JSON.stringify(value) !== JSON.stringify(base[field as keyof T]),
    );
    return { ...now, ...Object.fromEntries(touched) };
}
