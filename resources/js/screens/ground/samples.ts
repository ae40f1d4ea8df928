import type { Schema } from '../../api/client';
import type { GroundBed, Occupancy } from './queries';

/** What tests of beds are shown: something planned, and a bed to stand on. */

export const stay = (name: string, with_: Partial<Occupancy> = {}): Occupancy => ({
    key: name,
    kind: 'planned',
    planting: 7,
    version: 2,
    crop: name.toLowerCase(),
    name,
    family: 'Brassicaceae',
    variety: null,
    route: 'direct',
    act: 'sow-outdoors',
    from: '2026-04-01',
    first: null,
    to: '2026-07-01',
    metres: 4,
    between: null,
    pinned: false,
    spares: false,
    feeder: 'light',
    height_cm: null,
    cautions: [],
    need: null,
    ...with_,
});

export const bed = (stays: Occupancy[] = [], conflicts: GroundBed['conflicts'] = []): GroundBed => ({
    id: 3,
    version: 1,
    garden: 'School',
    name: 'Bed 3',
    site: null,
    length_m: 10,
    width_m: 1.2,
    stays,
    gaps: [],
    conflicts,
});

/** What undoes a change of plantings, as the server says it: nothing but this. */
export const undoneBy = (by: Partial<Schema['PlantingChange']> = {}): Schema['PlantingChange'] => ({
    add: [],
    change: [],
    remove: [],
    restore: [],
    ...by,
});
