import { useQuery } from '@tanstack/react-query';

/** How many entries of the log on this device the server refused. */
export function useRefusedEntries() {
    return useQuery({
        queryKey: ['device', 'refused'],
        queryFn: async () => {
            const { waitingLines } = await import('../log/store');
            return (await waitingLines()).filter((line) => line.refused !== null).length;
        },
        // A browser that stores nothing has nothing waiting.
        retry: false,
    });
}
