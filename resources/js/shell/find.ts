import { createSpotlight } from '@mantine/spotlight';

/** Opens and closes the search field from anywhere. */
export const [findStore, find] = createSpotlight();
