import type { Zone } from '../api/client';
import { useNoted } from '../ui/noted';

/** The steps from nothing to a published calendar, and where each is taken. */
export const STEPS = ['place', 'file', 'windows', 'publish'] as const;

export type StepName = (typeof STEPS)[number];

export type Step = {
    name: StepName;
    state: 'done' | 'now' | 'later';
    /** where it is taken; none before there is a zone */
    address: string | null;
};

const SCREEN: Record<StepName, string> = {
    place: 'edit',
    file: 'climate/files',
    windows: 'planting-windows',
    publish: 'calendars',
};

/** How far along a zone is. Each step's state follows from what is there, so you can leave and return anywhere. */
export function stepsOf(zone: Zone | undefined, haveLooked: boolean): Step[] {
    const done: Record<StepName, boolean> = {
        place: zone !== undefined,
        file: zone?.record != null,
        windows: zone?.record != null && (haveLooked || zone.edition != null),
        publish: zone?.edition != null,
    };
    const now = STEPS.find((name) => !done[name]);
    return STEPS.map((name) => ({
        name,
        state: done[name] ? 'done' : name === now ? 'now' : 'later',
        address: zone ? `/desk/zones/${zone.slug}/${SCREEN[name]}` : name === 'place' ? '/desk/zones/new' : null,
    }));
}

/** Whether somebody has looked at a zone's planting windows in this browser, and how to note it. */
export function useLooked(zone: string) {
    return useNoted(`looked:${zone}`);
}

/** Whether a zone's steps were hidden in this browser. */
export function useStepsHidden(zone: string) {
    return useNoted(`steps-hidden:${zone}`);
}
