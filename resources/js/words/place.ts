/** "47.45° N". */
export function degrees(latitude: number): string {
    return `${Math.abs(latitude)}° ${latitude < 0 ? 'S' : 'N'}`;
}

/** "47.45° N, 122.31° W": nobody reads a sign out of it. */
export function coordinates(latitude: number, longitude: number): string {
    return `${degrees(latitude)}, ${Math.abs(longitude)}° ${longitude < 0 ? 'W' : 'E'}`;
}
