import { matchPath } from 'react-router';
import { SCREENS, SETTINGS } from '../shell/places';
import { say } from '../words/words';

/** Topics of the help, and the words each explains. */
export const HELP = {
    home: ['confidence', 'normal'],
    zones: ['winter', 'one-year-in', 'current-edition'],
    today: ['confidence', 'normal', 'degree-days', 'fair-chance', 'days-to-spare', 'growing-site'],
    log: ['days-to-maturity', 'growing-site'],
    soil: ['growing-site', 'normal'],
    'indicator-plants': ['indicator-plant', 'degree-days'],
    trials: ['days-to-maturity'],
    beds: ['rest', 'growing-site', 'confidence'],
    'harvest-plan': ['confidence', 'days-to-maturity'],
    climate: ['winter', 'one-year-in', 'normal', 'questionable-value', 'degree-days'],
    'planting-windows': [
        'confidence',
        'simulated-season',
        'best-days',
        'fair-chance',
        'days-to-spare',
        'expected-harvest',
    ],
    'crop-evidence': [
        'confidence',
        'simulated-season',
        'best-days',
        'expected-harvest',
        'days-to-spare',
        'days-to-maturity',
    ],
    calendars: ['current-edition', 'confidence', 'simulated-season'],
    'track-record': ['confidence', 'simulated-season'],
    method: ['simulated-season'],
    'edit-zone': ['winter'],
    office: ['confidence'],
    crops: ['days-to-maturity', 'simulated-season'],
    'growing-sites': ['growing-site', 'normal'],
    languages: ['current-edition'],
    changes: ['current-edition'],
    people: ['current-edition'],
    profile: ['normal'],
} as const;

export type Topic = keyof typeof HELP;

export type TermName = (typeof HELP)[Topic][number];

export const TOPICS = Object.keys(HELP) as Topic[];

/** The screen of each topic; for a zone's, below its address. The first match counts. */
const WHERE: [string, Topic][] = [
    ['/desk/zones/new', 'edit-zone'],
    ['/desk/zones/:zone/edit', 'edit-zone'],
    ['/desk/zones/:zone/method', 'method'],
    ['/desk/zones/:zone/planting-windows/:crop', 'crop-evidence'],
    ...SCREENS.map(({ path }): [string, Topic] => [`/desk/zones/:zone/${path}/*`, path as Topic]),
    ...SETTINGS.map(({ path }): [string, Topic] => [`${path}/*`, path.split('/').at(-1) as Topic]),
    ['/desk/zones', 'zones'],
    ['/desk/profile', 'profile'],
];

/** The help topic for an address. */
export function topicAt(pathname: string): Topic {
    return WHERE.find(([path]) => matchPath(path, pathname))?.[1] ?? 'home';
}

/** The name of a topic's screen. */
export function topicName(topic: Topic): string {
    if (topic === 'edit-zone') return say('desk.edit-zone');
    if (topic === 'crop-evidence') return say('screen.crop-evidence');
    return topic === 'method' ? say('desk.method') : say(`screen.${topic}`);
}

/** All words that are explained, each once. */
export const TERMS = [...new Set(Object.values(HELP).flat())] as TermName[];
