<?php

declare(strict_types=1);

namespace App\Gardener;

use Illuminate\Contracts\Process\ProcessResult;
use Illuminate\Http\Response;
use Illuminate\Process\Pool;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Facades\Vite;
use RuntimeException;

/** Renders public pages to HTML with Node, from the React components in resources/js/gardener. */
final class PageRenderer
{
    /** Pages that one process makes: so many that its start, as long as thirty pages take, hardly counts. */
    private const SHARE = 150;

    private const AT_ONCE = 2;

    /** Pages that are made at a time, by all processes. */
    public const AT_A_TIME = self::SHARE * self::AT_ONCE;

    private const SECONDS = 300;

    private ?string $program = null;

    /**
     * @template K of array-key
     *
     * @param  array<K, Page>  $pages  many at once, because Node takes longer to start than to make thirty of them
     * @return array<K, string> complete HTML documents, under the same keys
     *
     * @throws RuntimeException if one of them cannot be made
     */
    public function render(array $pages): array
    {
        [$html, $failed] = $this->attempt($pages);
        if ($failed !== []) {
            throw new RuntimeException('A page could not be made: '.array_values($failed)[0]);
        }

        return $html;
    }

    /**
     * The same, where a page that cannot be made does not keep others from being made.
     *
     * @template K of array-key
     *
     * @param  array<K, Page>  $pages
     * @return array{array<K, string>, array<K, string>} complete HTML documents; and why the missing ones could not be made
     */
    public function attempt(array $pages): array
    {
        $html = $failed = [];
        $shell = ['styles' => self::styles(), 'fonts' => self::fonts()];
        foreach ($this->run($pages) as $key => $made) {
            if (is_string($made)) {
                $html[$key] = view('gardener', ['page' => $pages[$key], 'html' => $made] + $shell)->render();
            } else {
                $failed[$key] = mb_substr($made['error'], 0, 300);
            }
        }

        return [$html, $failed];
    }

    /**
     * A page that is made on request.
     *
     * @param  array<string, string>  $headers  besides what it is, and how long it may be cached
     */
    public function respond(Page $page, string $cache = 'public, max-age=300', array $headers = [], int $status = 200): Response
    {
        return response($this->render([$page])[0], $status)->withHeaders(
            ['Content-Type' => 'text/html; charset=utf-8', 'Cache-Control' => $cache] + $headers,
        );
    }

    /**
     * @return string fingerprint of the components, of the shell around them, and of what they load: different ones make different pages
     */
    public function program(): string
    {
        return $this->program ??= hash(
            'sha256',
            implode(
                '',
                array_map(static fn (string $f): string => is_file($f) ? (string) hash_file('sha256', $f) : '', [
                    self::path(),
                    public_path('build/manifest.json'),
                    resource_path('views/gardener.blade.php'),
                ]),
            ),
        );
    }

    /**
     * @template K of array-key
     *
     * @param  array<K, Page>  $pages
     * @return array<K, string|array{error: string}> what the body of each contains, or why there is nothing, in the order in which they
     *   were made
     */
    private function run(array $pages): array
    {
        if ($pages !== [] && ! is_file(self::path())) {
            throw new RuntimeException('The public pages are not built. Run: npm run build');
        }
        $made = [];
        foreach (array_chunk(array_chunk($pages, self::SHARE, true), self::AT_ONCE) as $shares) {
            $asked = array_map(self::asked(...), $shares);
            $processes = Process::pool(static function (Pool $pool) use ($asked): void {
                foreach ($asked as [$text]) {
                    $pool->timeout(self::SECONDS)->input($text)->command([(string) config('anthesis.node'), self::path()]);
                }
            })->start();
            // All of them are read from and written to in turn. Waiting for one would let the others stand still.
            while (($running = $processes->running())->isNotEmpty()) {
                $running->each->ensureNotTimedOut();
                usleep(2000);
            }
            foreach ($processes->wait()->collect()->values() as $i => $result) {
                $made += self::answered($result, $asked[$i][1]);
            }
        }

        return $made;
    }

    /**
     * @template K of array-key
     *
     * @param  array<K, Page>  $pages
     * @return array{string, list<K>} what the renderer reads, where pages in the same reading stand together; and the keys in that order
     */
    private static function asked(array $pages): array
    {
        $alike = [];
        foreach ($pages as $key => $page) {
            $read = [
                'reading' => $page->reading->told() + ['own' => (object) $page->own],
                'readings' => array_map(static fn (Reading $r): array => $r->told(), Reading::in($page->languages)),
            ];
            $alike[json_encode($read, JSON_THROW_ON_ERROR)][$key] = $page->json();
        }
        $parts = array_map(
            static fn (string $read, array $pages): string => substr($read, 0, -1).',"pages":['.implode(',', $pages).']}',
            array_keys($alike),
            $alike,
        );

        return ['{"parts":['.implode(',', $parts).']}', array_merge(...array_map(array_keys(...), array_values($alike)))];
    }

    /**
     * @template K of array-key
     *
     * @param  list<K>  $keys  of the pages it was given
     * @return array<K, string|array{error: string}>
     */
    private static function answered(ProcessResult $result, array $keys): array
    {
        if ($result->failed()) {
            throw new RuntimeException('The public pages could not be rendered: '.trim($result->errorOutput()));
        }
        $html = json_decode($result->output(), true, 8, JSON_THROW_ON_ERROR);

        return is_array($html) && count($html) === count($keys)
            ? array_combine($keys, $html)
            : throw new RuntimeException('The renderer did not return as many pages as it was given.');
    }

    /**
     * @return string the styles, to include in the page itself: on a slow connection, there is then only one thing to load before there is
     *   something to read
     */
    private static function styles(): string
    {
        $manifest = json_decode((string) @file_get_contents(public_path('build/manifest.json')), true);
        $file = is_array($manifest) ? $manifest['resources/css/gardener.css']['file'] ?? null : null;

        return is_string($file) ? (string) file_get_contents(public_path("build/{$file}")) : '';
    }

    /** @return list<string> addresses of the fonts that every page uses */
    private static function fonts(): array
    {
        return array_map(Vite::asset(...), [
            'node_modules/@fontsource-variable/literata/files/literata-latin-wght-normal.woff2',
            'node_modules/@fontsource-variable/source-sans-3/files/source-sans-3-latin-wght-normal.woff2',
        ]);
    }

    private static function path(): string
    {
        return base_path('bootstrap/ssr/server.js');
    }
}
