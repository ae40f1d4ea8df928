import { renderToStaticMarkup } from 'react-dom/server';
import { GardenerPage } from './pages/GardenerPage';
import type { PageData } from './pages/props';

// Reads a JSON list of pages from standard input and writes a JSON list of their HTML to standard output.
const chunks: Buffer[] = [];
process.stdin.on('data', (chunk: Buffer) => chunks.push(chunk));
process.stdin.on('end', () => {
    const pages = JSON.parse(Buffer.concat(chunks).toString('utf8')) as PageData[];
    process.stdout.write(JSON.stringify(pages.map((data) => renderToStaticMarkup(<GardenerPage data={data} />))));
});
