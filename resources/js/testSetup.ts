import './words/ofAll';
import { cleanup, configure } from '@testing-library/react';
import { afterEach } from 'vitest';

// Files share what they import, which is most of their time; each leaves nothing behind for the next.
afterEach(() => {
    sessionStorage.clear();
    cleanup();
    document.body.replaceChildren();
});

// There is no canvas here: names are measured by their letters, as in a browser without one.
HTMLCanvasElement.prototype.getContext = () => null;

// As in vite.config.ts: patience with a busy machine.
configure({ asyncUtilTimeout: 20_000 });
