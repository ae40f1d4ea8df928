import { startTransition, useEffect, useState } from 'react';

/**
 * Whether what is out of sight should be drawn too: not the first time, so what is in sight is there sooner. It follows right after,
 * without holding up the pointer or the keyboard.
 */
export function useInSightFirst(): boolean {
    const [all, setAll] = useState(false);
    useEffect(() => startTransition(() => setAll(true)), []);
    return all;
}
