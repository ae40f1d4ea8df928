import { Refusal } from './client';

/** After a refusal of a stale edit, what others made of it is fetched, so that the form can go on from there. */
export function whenStale(error: Error, refetch: () => unknown) {
    if (error instanceof Refusal && error.status === 409) void refetch();
}
