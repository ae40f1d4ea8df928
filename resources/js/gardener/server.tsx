import '../words/ofAll';
import { renderToStaticMarkup } from 'react-dom/server';
import { readAs } from '../words/words';
import { GardenerPage } from './pages/GardenerPage';
import type { PageData } from './pages/props';
import { ReadingHere, type ReadingName } from './pages/reading';

type Asked = {
    /** pages with the same reading, with what people wrote in that language, and the other readings */
    parts: {
        reading: ReadingName & { own: Record<string, string> };
        readings: ReadingName[];
        pages: (PageData & { path: string | null })[];
    }[];
};

/** A page's HTML, or why it could not be made: one that fails does not stop the others. */
type Made = string | { error: string };

function made(
    reading: Asked['parts'][number]['reading'],
    readings: ReadingName[],
    data: PageData & { path: string | null },
): Made {
    try {
        return renderToStaticMarkup(
            <ReadingHere here={{ reading, readings, path: data.path }}>
                <GardenerPage data={data} />
            </ReadingHere>,
        );
    } catch (error) {
        return { error: error instanceof Error ? error.message : String(error) };
    }
}

// Reads pages as JSON from standard input, grouped by reading, and writes a JSON list of the results to standard output.
const chunks: Buffer[] = [];
process.stdin.on('data', (chunk: Buffer) => chunks.push(chunk));
process.stdin.on('end', () => {
    const { parts } = JSON.parse(Buffer.concat(chunks).toString('utf8')) as Asked;
    const all = parts.flatMap(({ reading, readings, pages }) => {
        readAs(reading);
        return pages.map((data) => made(reading, readings, data));
    });
    process.stdout.write(JSON.stringify(all));
});
