import '../words/ofAll';
import { rmSync, statSync, watchFile } from 'node:fs';
import { createServer } from 'node:net';
import { argv, exit, stdin, stdout } from 'node:process';
import type { Readable, Writable } from 'node:stream';
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

// Each line that comes in is JSON: pages, grouped by reading. It is answered by a line, a JSON list of the results. Lines are told apart by
// their bytes, because what people write may contain other separators that Node takes for the end of a line.
const LINE_FEED = 0x0a;

function serve(from: Readable, to: Writable): void {
    let line: Buffer[] = [];
    from.on('data', (chunk: Buffer) => {
        let start = 0;
        for (let end = chunk.indexOf(LINE_FEED); end >= 0; end = chunk.indexOf(LINE_FEED, start)) {
            line.push(chunk.subarray(start, end));
            to.write(`${answer(Buffer.concat(line).toString('utf8'))}\n`);
            line = [];
            start = end + 1;
        }
        line.push(chunk.subarray(start));
    });
}

/** Serves everyone who connects, until this program is built anew: then a new process has to make the pages. */
function listen(socket: string): void {
    const built = statSync(argv[1] ?? '').mtimeMs;
    rmSync(socket, { force: true });
    const server = createServer((caller) => {
        caller.on('error', () => caller.destroy());
        serve(caller, caller);
    });
    server.listen(socket);
    watchFile(argv[1] ?? '', { interval: 1000 }, ({ mtimeMs }) => {
        if (mtimeMs !== built) exit(0);
    });
}

const [, , socket] = argv;
if (socket === undefined) serve(stdin, stdout);
else listen(socket);
