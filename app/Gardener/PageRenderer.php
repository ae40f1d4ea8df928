<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Operations\Faces;
use Generator;
use Illuminate\Http\Response;
use RuntimeException;

/** Renders public pages to HTML with Node, from the React components in resources/js/gardener. */
final class PageRenderer
{
    /** Pages that a process is given at a time. */
    private const SHARE = 50;

    private const AT_ONCE = 2;

    private const PAUSE_MICROSECONDS = 500;

    /** A page is made of many small things that are gone when it is done. With more room for them, Node cleans up less often. */
    private const YOUNG = '--max-semi-space-size=64';

    private ?string $program = null;

    /** @var array{styles: string, fonts: list<string>}|null what all pages have around them, read when first used */
    private ?array $shell = null;

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
        $html = array_fill_keys(array_keys($pages), '');
        foreach ($this->each($pages) as $key => $page) {
            $html[$key] = is_string($page) ? $page : throw new RuntimeException("A page could not be made: {$page->reason}");
        }

        return $html;
    }

    /**
     * The same one by one, where a page that cannot be made does not keep others from being made. The next ones are being made while the
     * caller does something with those it has.
     *
     * @template K of array-key
     *
     * @param  array<K, Page>  $pages
     * @return Generator<K, string|CannotBeMade> complete HTML documents, or why there is none, in the order in which they are made
     */
    public function each(array $pages): Generator
    {
        foreach ($this->made($pages) as $key => $made) {
            yield $key => is_string($made)
                ? $this->document($pages[$key], $made)
                : new CannotBeMade(mb_substr($made['error'], 0, 300));
        }
    }

    /**
     * A page that is made on request.
     *
     * @param  array<string, string>  $headers  besides what it is, and how long it may be cached
     */
    public function respond(Page $page, string $cache = 'public, max-age=300', array $headers = [], int $status = 200): Response
    {
        [$request, $keys] = self::asked([$page]);
        $answer = RenderingService::answer($request);
        $made = $answer === null ? null : self::answered($answer, $keys)[0];

        return response(is_string($made) ? $this->document($page, $made) : $this->render([$page])[0], $status)->withHeaders(
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
     * @return Generator<K, string|array{error: string}> what the body of each contains, or why there is nothing, in the order in which they
     *   are made
     */
    private function made(array $pages): Generator
    {
        if ($pages !== [] && ! is_file(self::path())) {
            throw new RuntimeException('The public pages are not built. Run: npm run build');
        }
        $shares = array_chunk($pages, self::SHARE, true);
        $asked = $processes = [];
        try {
            do {
                for ($number = 0; $number < self::AT_ONCE; $number++) {
                    $answer = isset($asked[$number]) ? $processes[$number]->answer() : null;
                    $answered = $answer === null ? [] : self::answered($answer, $asked[$number]);
                    if ($answer !== null) {
                        unset($asked[$number]);
                    }
                    if (! isset($asked[$number]) && $shares !== []) {
                        [$request, $asked[$number]] = self::asked(array_shift($shares));
                        $node = (string) config('anthesis.node');
                        $processes[$number] = RenderingProcess::open($number, [$node, self::YOUNG, self::path()]);
                        $processes[$number]->ask($request);
                    }
                    yield from $answered;
                }
                usleep(self::PAUSE_MICROSECONDS);
            } while ($asked !== []);
        } finally {
            // One that still owes an answer would give it to the next question.
            if ($asked !== []) {
                RenderingProcess::closeAll();
            }
        }
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
    private static function answered(string $answer, array $keys): array
    {
        $html = json_decode($answer, true, 8, JSON_THROW_ON_ERROR);

        return is_array($html) && count($html) === count($keys)
            ? array_combine($keys, $html)
            : throw new RuntimeException('The renderer did not return as many pages as it was given.');
    }

    private function document(Page $page, string $html): string
    {
        $this->shell ??= ['styles' => self::styles(), 'fonts' => Faces::addresses()];

        return view('gardener', ['page' => $page, 'html' => $html] + $this->shell)->render();
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

    private static function path(): string
    {
        return base_path('bootstrap/ssr/server.js');
    }
}
