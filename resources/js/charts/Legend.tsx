import type { ReactNode } from 'react';
import { say } from '../words/words';
import type { BracketName } from './Brackets';
import { HATCH } from './Hatches';

/** A small picture of a sign, and its meaning. */
export function Sign({ words, children }: { words: string; children: ReactNode }) {
    return (
        <li>
            <svg className="chart swatch" width="22" height="11" aria-hidden="true">
                {children}
            </svg>
            {words}
        </li>
    );
}

/** A bracket as the charts draw it. */
export function BracketSign({ name }: { name: Exclude<BracketName, 'other'> }) {
    return (
        <Sign words={say(`legend.${name}`)}>
            <path className={name} d={name === 'bracket' || name === 'own' ? 'M1 9V2H21V9' : 'M1 7V3H21V7'} />
        </Sign>
    );
}

export function BestSign() {
    return (
        <Sign words={say('legend.best')}>
            <path className="best" d="M1 5H21" />
        </Sign>
    );
}

export function HarvestSign() {
    return (
        <Sign words={say('legend.harvest')}>
            <path className="harvest" d="M1 6H21" />
        </Sign>
    );
}

/** The hatch of a reason or an outcome. */
export function HatchSign({ of, words }: { of: string; words: string }) {
    return (
        <Sign words={words}>
            <rect width="22" height="9" y="1" fill={HATCH[of]} />
        </Sign>
    );
}
