import '@mantine/core/styles.css';
import '../../css/log.css';
import { MantineProvider } from '@mantine/core';
import { createRoot } from 'react-dom/client';
import { theme } from '../ui/theme';
import { Log } from './Log';

const root = document.getElementById('log');
if (root) {
    createRoot(root).render(
        <MantineProvider theme={theme} defaultColorScheme="auto">
            <Log />
        </MantineProvider>,
    );
}
