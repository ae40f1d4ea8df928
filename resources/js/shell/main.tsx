import '../words/ofDesk';
import '@mantine/core/styles.css';
import '@mantine/notifications/styles.css';
import '@mantine/spotlight/styles.css';
import '../../css/desk.css';
import { MantineProvider } from '@mantine/core';
import { Notifications } from '@mantine/notifications';
import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { Refusal } from '../api/client';
import { seenChanges } from '../ui/changes';
import { theme } from '../ui/theme';
import { recallReading } from '../words/remembered';
import { router } from './routes';
import { Unanswered, unanswered } from './Unanswered';

recallReading();

const queries = new QueryClient({
    queryCache: new QueryCache({
        // A refusal is shown where it belongs; no answer at all concerns every screen.
        onError: (error) => {
            if (!(error instanceof Refusal)) unanswered(true);
        },
        onSuccess: () => unanswered(false),
    }),
    mutationCache: seenChanges(),
    defaultOptions: {
        queries: {
            staleTime: 30_000,
            refetchOnWindowFocus: false,
            retry: (count, error) => !(error instanceof Refusal) && count < 2,
        },
    },
});

// The nonce the page gives to styles of the interface library, and to what keeps the page still behind a dialog.
const nonce = document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content ?? '';
setNonce(nonce);

const root = document.getElementById('desk');
if (root) {
    createRoot(root).render(
        <MantineProvider theme={theme} defaultColorScheme="auto" getStyleNonce={() => nonce}>
            <Unanswered />
            {/* In the middle, because the next thing to click is usually on the left, and choices are on the right. */}
            <Notifications containerWidth={352} position="bottom-center" limit={4} />
            <QueryClientProvider client={queries}>
                <RouterProvider router={router} />
            </QueryClientProvider>
        </MantineProvider>,
    );
}
