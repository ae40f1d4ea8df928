import { renderToStaticMarkup } from 'react-dom/server';
import { alsoIn, readAs, type Messages } from '../words/words';
import { GardenerPage } from './pages/GardenerPage';
import type { PageData } from './pages/props';
import { ReadingHere, type ReadingName } from './pages/reading';

type Asked = {
    readings: ReadingName[];
    /** pages that are read alike, with what people wrote in their language */
    parts: { reading: ReadingName & { own: Record<string, string> }; pages: (PageData & { path: string | null })[] }[];
};

alsoIn(import.meta.glob<Messages>('../../../lang/*/*.json', { eager: true, import: 'default' }));

// Reads pages as JSON from standard input, by how they are read, and writes a JSON list of their HTML to standard output.
const chunks: Buffer[] = [];
process.stdin.on('data', (chunk: Buffer) => chunks.push(chunk));
process.stdin.on('end', () => {
    const { readings, parts } = JSON.parse(Buffer.concat(chunks).toString('utf8')) as Asked;
    const html = parts.flatMap(({ reading, pages }) => {
        readAs(reading);
        return pages.map((data) =>
            renderToStaticMarkup(
                <ReadingHere here={{ reading, readings, path: data.path }}>
                    <GardenerPage data={data} />
                </ReadingHere>,
            ),
        );
    });
    process.stdout.write(JSON.stringify(html));
});
