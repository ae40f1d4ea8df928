import { createSpotlight } from '@mantine/spotlight';

/** Opens and closes the field to find or do anything, from wherever. */
export const [findStore, find] = createSpotlight();
