/**
 * A form goes on from what others have saved meanwhile: fields its reader has not touched take what is saved now, touched ones
 * stay as they are typed.
 */
export function merged<T extends object>(base: T, mine: T, now: T): T {
    const touched = Object.entries(mine).filter(
        ([field, value]) => JSON.stringify(value) !== JSON.stringify(base[field as keyof T]),
    );
    return { ...now, ...Object.fromEntries(touched) };
}
