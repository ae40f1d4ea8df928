import { useCallback, useEffect, useRef, useState } from 'react';
import { probeFigure, type Figure } from './queries';

/** Seconds of the probe between two of its figures. */
const EVERY = 10;

/** Figures after which any probe has settled. */
const MOST = 18;

/** A timer that starts with the first figure, and the figures with their seconds. */
export function useTimer(spot: number) {
    const [figures, setFigures] = useState<Figure[]>([]);
    const [seconds, setSeconds] = useState(0);
    const [reading, setReading] = useState(false);
    const [fromProbe, setFromProbe] = useState(false);
    const [error, setError] = useState<Error | null>(null);
    const [key, setKey] = useState(() => crypto.randomUUID());
    const began = useRef(0);
    const running = figures.length > 0 && !fromProbe;
    useEffect(() => {
        if (!running) return;
        const ticking = setInterval(() => setSeconds(Math.round((Date.now() - began.current) / 1000)), 1000);
        return () => clearInterval(ticking);
    }, [running]);
    // Leaving the spot removes the probe.
    const under = useRef(0);
    useEffect(
        () => () => {
            under.current++;
        },
        [spot],
    );
    const clear = () => {
        under.current++;
        setFigures([]);
        setSeconds(0);
        setReading(false);
        setFromProbe(false);
        setError(null);
        setKey(crypto.randomUUID());
    };
    const stop = useCallback(() => {
        under.current++;
        setReading(false);
    }, []);
    const add = (celsius: number) => {
        if (figures.length === 0) began.current = Date.now();
        const at = figures.length === 0 ? 0 : (Date.now() - began.current) / 1000;
        const last = figures.at(-1)?.[0] ?? -1;
        // Two figures typed at the same instant still come one after the other.
        setFigures([...figures, [Math.max(at, last + 0.1), celsius]]);
    };
    const read = async (from: number) => {
        const own = ++under.current;
        setReading(true);
        setFromProbe(true);
        setError(null);
        try {
            for (let i = 0; i < MOST; i++) {
                const figure = await probeFigure(from, i * EVERY);
                if (under.current !== own) return;
                setFigures((before) => [...before, [figure.seconds, figure.celsius]]);
                setSeconds(figure.seconds);
                await new Promise((done) => setTimeout(done, (EVERY / figure.pace) * 1000));
            }
        } catch (failed) {
            if (under.current === own) setError(failed as Error);
        }
        if (under.current === own) setReading(false);
    };
    return { figures, seconds, reading, fromProbe, error, key, add, read, stop, clear };
}
