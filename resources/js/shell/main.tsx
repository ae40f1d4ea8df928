import { say } from '../words/words';
import '@mantine/core/styles.css';
import '@mantine/notifications/styles.css';
import '../../css/desk.css';
import { MantineProvider } from '@mantine/core';
import { Notifications, notifications } from '@mantine/notifications';
import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { Refusal } from '../api/client';
import { router } from './routes';
import { theme } from '../ui/theme';

const queries = new QueryClient({
    queryCache: new QueryCache({
        // A refusal is said where it concerns somebody; no answer at all concerns every screen.
        onError: (error) => {
            if (error instanceof Refusal) return;
            notifications.show({
                id: 'unanswered',
                color: 'var(--clay)',
                message: say('main.the-server-does-not-answer'),
                autoClose: false,
            });
        },
    }),
    defaultOptions: {
        queries: {
            staleTime: 30_000,
            refetchOnWindowFocus: false,
            retry: (count, error) => !(error instanceof Refusal) && count < 2,
        },
    },
});

const root = document.getElementById('desk');
if (root) {
    createRoot(root).render(
        <MantineProvider theme={theme} defaultColorScheme="auto">
            <Notifications position="bottom-right" />
            <QueryClientProvider client={queries}>
                <RouterProvider router={router} />
            </QueryClientProvider>
        </MantineProvider>,
    );
}
