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

function answer(asked: string): string {
    const { parts } = JSON.parse(asked) as Asked;
    const all = parts.flatMap(({ reading, readings, pages }) => {
        readAs(reading);
        return pages.map((data) => made(reading, readings, data));
    });
    return JSON.stringify(all);
}

// Each line of standard input is JSON: pages, grouped by reading. It is answered by a line of standard output, a JSON list of the results.
// Lines are told apart by their bytes, because what people write may contain other separators that Node takes for the end of a line.
const LINE_FEED = 0x0a;
let line: Buffer[] = [];
process.stdin.on('data', (chunk: Buffer) => {
    let from = 0;
    for (let end = chunk.indexOf(LINE_FEED); end >= 0; end = chunk.indexOf(LINE_FEED, from)) {
        line.push(chunk.subarray(from, end));
        process.stdout.write(`${answer(Buffer.concat(line).toString('utf8'))}\n`);
        line = [];
        from = end + 1;
    }
    line.push(chunk.subarray(from));
});
