import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** An element's width in px, measured before it is first painted and followed from then on; null until then, so nothing is drawn twice. */
export function useWidth<E extends HTMLElement = HTMLDivElement>(): { ref: RefObject<E | null>; width: number | null } {
    const ref = useRef<E>(null);
    const [width, setWidth] = useState<number | null>(null);
    useLayoutEffect(() => {
        const element = ref.current;
        if (!element) return;
        setWidth(element.clientWidth);
        const observer = new ResizeObserver(() => setWidth(element.clientWidth));
        observer.observe(element);
        return () => observer.disconnect();
    }, []);
    return { ref, width };
}
