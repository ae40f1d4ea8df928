<?php

declare(strict_types=1);

namespace App\Gardener;

use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\WeekList;
use Anthesis\Messages\UnitSystem;
use Anthesis\Publishing\EditionCsv;
use Anthesis\Publishing\EditionICalendar;
use Anthesis\Publishing\FeedChoice;
use Anthesis\Record\Day;
use App\Editions\Edition;
use App\Operations\NamedLock;
use App\Operations\OfficeInUse;
use App\Operations\Seal;
use App\Operations\Today;
use App\Zones\Zone;
use Closure;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;
use RuntimeException;

/**
 * The public pages as files that the web server finds on its own, each with its gzipped copy beside it:
 *
 *     index.html, index.{reading}.html          the page on which a zone is found, in each reading
 *     sitemap.xml
 *     {zone}/current                            link to the number of the edition in force
 *     {zone}/{number}/now/{reading}/…           the pages of /zones/{zone}, of the edition in force alone; those of the reading without
 *     a name lie above the others
 *     {zone}/{number}/now/this-week             link to weeks/{n}, or to what SeasonPage made of it today
 *     {zone}/{number}/lasting/…                 the pages of /zones/{zone}/editions/{number}, in the reading without a name; others are
 *     made when they are asked for
 *     {zone}/{number}/manifest.json             the fingerprint of each file, sealed
 *
 * An address's page is its folder's index.html; calendar.ics, .csv, and .json are beside the calendar's.
 */
final class PublicSite
{
    /** Placeholder in a page for its address, until it is kept under each address it has. */
    private const BASE = '/~base~';

    public const DOWNLOADS = [...self::TOLD, 'json'];

    /** Files with words in them, one per reading. */
    public const TOLD = ['ics', 'csv'];

    /** Progress is reported each time so many pages are made. */
    private const TOLD_EVERY = 50;

    private const HOME_WAIT_S = 60;

    public function __construct(private readonly EditionPages $pages, private readonly PageRenderer $renderer)
    {
    }

    /**
     * Makes all files of an edition, replacing those that are there.
     *
     * @param  Closure(int, int): void|null  $progress  pages made, pages in all
     * @return array<string, string> pages that could not be made, and why; they are left out, and the manifest names them
     */
    public function build(Edition $edition, ?Closure $progress = null): array
    {
        $document = $edition->open();
        $folder = self::folder($edition->zone->slug, $edition->number);
        $building = "{$folder}.building";
        File::deleteDirectory($building);
        $readings = EditionPages::readings($document);
        [$files, $failed] = $this->buildPages($edition, $document, $readings, $building, $progress);
        $files += self::buildDownloads($edition, $document, $readings, $building);
        ksort($files);
        $manifest = ['program' => $this->renderer->program(), 'files' => $files] + ($failed === [] ? [] : ['failed' => $failed]);
        File::put(
            "{$building}/manifest.json",
            json_encode($manifest + ['seal' => self::sealOf($edition, $manifest)], JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES),
        );
        self::weekLink($building, $edition->zone->today());
        $old = "{$folder}.old";
        File::deleteDirectory($old);
        if (is_dir($folder)) {
            rename($folder, $old);
        }
        rename($building, $folder);
        File::deleteDirectory($old);

        return $failed;
    }

    /**
     * @param  list<Reading>  $readings
     * @param  Closure(int, int): void|null  $progress
     * @return array{array<string, string>, array<string, string>} checksums of the pages by file, and why others could not be made
     */
    private function buildPages(Edition $edition, EditionDocument $document, array $readings, string $building, ?Closure $progress): array
    {
        $files = $failed = $pages = [];
        foreach ($readings as $reading) {
            foreach ($this->pages->all($document, self::BASE, $reading) as $path => $page) {
                $pages["{$reading->name()}/{$path}"] = $page;
            }
        }
        $done = 0;
        foreach ($this->renderer->each($pages) as $path => $html) {
            if ($html instanceof CannotBeMade) {
                $failed[$path] = $html->reason;
            } else {
                foreach (self::sets($pages[$path]->reading, $edition) as $set => $number) {
                    $file = self::file($set, "{$path}/index.html");
                    $files[$file] = self::keep(
                        "{$building}/{$file}",
                        str_replace(self::BASE, PublishedEdition::base($edition->zone, $number), $html),
                    );
                }
            }
            if (++$done % self::TOLD_EVERY === 0 || $done === count($pages)) {
                $progress?->__invoke($done, count($pages));
            }
        }

        return [$files, $failed];
    }

    /**
     * @param  list<Reading>  $readings
     * @return array<string, string> checksums of the downloads by file
     */
    private static function buildDownloads(Edition $edition, EditionDocument $document, array $readings, string $building): array
    {
        $files = [];
        foreach ($readings as $reading) {
            // A withdrawn edition's own text cannot say that it is withdrawn, so it is not a file: the application answers.
            foreach ($reading->name() === '' && $document->notice === null ? self::DOWNLOADS : self::TOLD as $format) {
                foreach (self::sets($reading, $edition) as $set => $number) {
                    $file = self::file($set, "{$reading->name()}/calendar.{$format}");
                    $files[$file] = self::keep(
                        "{$building}/{$file}",
                        self::download($document, $format, PublishedEdition::base($edition->zone, $number), $reading),
                    );
                }
            }
        }

        return $files;
    }

    /** @return array<string, string> pages of an edition that the current program could not make, and why */
    public function failedPages(Edition $edition): array
    {
        return self::manifest($edition)['failed'] ?? [];
    }

    /** @param  string  $base  the address of the calendar, without the reading */
    public static function download(
        EditionDocument $document,
        string $format,
        string $base,
        Reading $reading,
        FeedChoice $choice = new FeedChoice(),
    ): string {
        $words = $reading->words($reading->own($document));

        return match ($format) {
            'ics' => EditionICalendar::write($document, $words, url($reading->prefix().$base), $choice),
            // A withdrawn edition has nothing left to act on: headings without rows.
            'csv' => EditionCsv::write(
                $document->content['zone']['slug'],
                $document->notice !== null
                    ? []
                    : array_values(
                        array_filter($document->content['crops'], static fn (array $sheet): bool => $choice->has($sheet['slug'])),
                    ),
                $words,
                $document->content['edition']['number'],
            ),
            default => $document->json,
        };
    }

    /** @return array<string, int|null> sets of pages that are kept in a reading, with the number in their addresses */
    private static function sets(Reading $reading, Edition $edition): array
    {
        return ['now' => null] + ($reading->name() === '' ? ['lasting' => $edition->number] : []);
    }

    /** The path of a file in a set of pages. */
    private static function file(string $set, string $file): string
    {
        return (string) preg_replace('#/+#', '/', "{$set}/{$file}");
    }

    /** Whether an edition's files are there, made by the current program. */
    public function isBuilt(Edition $edition): bool
    {
        $manifest = self::manifest($edition);

        return $manifest !== null && $manifest['program'] === $this->renderer->program();
    }

    /** @return list<string> files of an edition that are missing or differ from what was made; the manifest, if it is not ours */
    public function changedFiles(Edition $edition): array
    {
        $manifest = self::manifest($edition);
        if ($manifest === null || ! Seal::holds($manifest['seal'], ...self::sealedParts($edition, $manifest))) {
            return ['manifest.json'];
        }
        $folder = self::folder($edition->zone->slug, $edition->number);

        return array_values(
            array_filter(
                array_keys($manifest['files']),
                static fn (string $file): bool => (str_starts_with($file, 'lasting/') || is_dir("{$folder}/now")) &&
                    (! is_file("{$folder}/{$file}") ||
                        hash_file('sha256', "{$folder}/{$file}") !== $manifest['files'][$file] ||
                        ! is_file("{$folder}/{$file}.gz") ||
                        hash('sha256', (string) @gzdecode((string) file_get_contents("{$folder}/{$file}.gz"))) !==
                            $manifest['files'][$file]),
            ),
        );
    }

    /** Removes the files of an edition, so nothing doubtful is served. */
    public function takeAway(Edition $edition): void
    {
        File::deleteDirectory(self::folder($edition->zone->slug, $edition->number));
    }

    /** Makes a zone's address lead to its current edition, and lists it on the page of zones. */
    public function turnTo(Zone $zone): void
    {
        $edition = $zone->currentEdition;
        if ($edition !== null) {
            self::link(self::root()."/{$zone->slug}/current", (string) $edition->number);
            // Earlier editions only keep their permanent addresses.
            foreach (File::directories(self::root()."/{$zone->slug}") as $folder) {
                if (ctype_digit(basename($folder)) && (int) basename($folder) < $edition->number) {
                    File::deleteDirectory("{$folder}/now");
                }
            }
        }
        $this->home();
    }

    /**
     * The page on which gardeners find their zone, and the list of addresses for search engines.
     *
     * @throws RuntimeException if another worker is making them and does not finish
     */
    public function home(): void
    {
        // One worker at a time: one that read the zones earlier must not write later.
        $lock = NamedLock::take('home', self::HOME_WAIT_S) ??
            throw new RuntimeException('Another worker is still making the page of zones. Try again.');
        try {
            OfficeInUse::everywhere(fn () => $this->makeHome(self::zones()));
        } finally {
            $lock->release();
        }
    }

    /** @param  Collection<int, Zone>  $zones */
    private function makeHome(Collection $zones): void
    {
        $pages = [];
        foreach (Reading::all() as $reading) {
            $pages[self::homeFile($reading->name())] = HomePage::page($zones, false, false, $reading);
        }
        $pages += ErrorPage::all();
        foreach ($this->renderer->render($pages) as $file => $html) {
            self::keep(self::root()."/{$file}", $html);
        }
        self::keep(self::root().'/sitemap.xml', self::sitemap($zones));
    }

    /** @param  Collection<int, Zone>  $zones */
    private static function sitemap(Collection $zones): string
    {
        $languages = ['/' => null, ...array_fill_keys(self::frontPages($zones), null)];
        foreach ($zones as $zone) {
            $languages["/zones/{$zone->slug}"] = $languages["/zones/{$zone->slug}/this-week"] = $zone->office->languagesRead();
        }
        $today = Today::day()->iso();
        $urls = array_map(
            static fn (string $path, ?array $languages): string => '<url><loc>'.
                e(url($path)).
                '</loc>'.
                implode(
                    '',
                    array_map(
                        static fn (Reading $r): string => $r->units !== UnitSystem::Metric
                            ? ''
                            : "<xhtml:link rel=\"alternate\" hreflang=\"{$r->language}\" href=\"".e(url(Page::address($r, $path))).'"/>',
                        Reading::in($languages),
                    ),
                ).
                "<lastmod>{$today}</lastmod></url>",
            array_keys($languages),
            $languages,
        );

        return '<?xml version="1.0" encoding="UTF-8"?>'.
            "\n".
            '<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9" xmlns:xhtml="http://www.w3.org/1999/xhtml">'.
            implode('', $urls).
            "</urlset>\n";
    }

    /**
     * @param  Collection<int, Zone>  $zones
     * @return list<string> addresses of the offices' front pages, if there are several
     */
    private static function frontPages(Collection $zones): array
    {
        $slugs = array_values($zones->pluck('office.slug')->unique()->all());

        return count($slugs) < 2 ? [] : array_map(static fn (string $slug): string => "/offices/{$slug}", $slugs);
    }

    /** @return Collection<int, Zone> those that gardeners can read, in the order in which they are listed */
    public static function zones(): Collection
    {
        return OfficeInUse::everywhere(
            static fn (): Collection => Zone::query()
                ->with(['settlements', 'office'])
                ->has('currentEdition')
                ->orderBy('district')
                ->orderBy('name')
                ->get(),
        );
    }

    /** Makes every zone's "this week" lead to today's week: to the page about this season on this day, or to the edition's own. */
    public function turnWeek(): void
    {
        foreach (self::zones() as $zone) {
            $current = self::root()."/{$zone->slug}/current";
            if (
                is_dir("{$current}/now") &&
                ! str_starts_with((string) @readlink("{$current}/now/this-week"), '../season/'.$zone->today()->iso())
            ) {
                self::weekLink((string) realpath($current), $zone->today());
            }
        }
    }

    /**
     * @param  string  $address  of a page or file, without the reading: "zones/lakeshore/crops/radish"
     * @return string|null what the web server would send; null if it is not there
     */
    public static function read(string $address, Reading $reading = new Reading()): ?string
    {
        $reading = $reading->prefix();
        $file = match (true) {
            $address === '' => self::homeFile(ltrim($reading, '/')),
            preg_match('#^zones/([^/]+)/editions/(\d+)(/.*)?$#', $address, $found) === 1 => "{$found[1]}/{$found[2]}/lasting{$reading}".
                ($found[3] ?? ''),
            preg_match('#^zones/([^/]+)(/.*)?$#', $address, $found) === 1 => "{$found[1]}/current/now{$reading}".($found[2] ?? ''),
            default => $address,
        };
        foreach ([self::root()."/{$file}", self::root()."/{$file}/index.html"] as $path) {
            if (is_file($path)) {
                return (string) file_get_contents($path);
            }
        }

        return null;
    }

    private static function homeFile(string $reading): string
    {
        return $reading === '' ? 'index.html' : "index.{$reading}.html";
    }

    public static function root(): string
    {
        return rtrim(Storage::disk('published')->path(''), '/');
    }

    public static function folder(string $zone, int $number): string
    {
        return self::root()."/{$zone}/{$number}";
    }

    /** Makes "this week" in an edition's folder lead to its own page for today's week, in every reading. */
    public static function weekLink(string $folder, Day $today): void
    {
        foreach (array_keys(self::weekLinks($folder)) as $link) {
            self::link($link, 'weeks/'.WeekList::weekOf($today->yearDay()));
        }
    }

    /** @return array<string, Reading> the readings an edition has pages in, by their links to this week */
    public static function weekLinks(string $folder): array
    {
        $links = [];
        foreach (Reading::all() as $reading) {
            if (is_dir("{$folder}/now{$reading->prefix()}/weeks")) {
                $links["{$folder}/now{$reading->prefix()}/this-week"] = $reading;
            }
        }

        return $links;
    }

    /** A link that exists before and after, even if somebody reads in between. */
    public static function link(string $link, string $target): void
    {
        if (@readlink($link) === $target) {
            return;
        }
        @unlink("{$link}.new");
        symlink($target, "{$link}.new");
        rename("{$link}.new", $link);
    }

    /** @return string the fingerprint of the content */
    public static function keep(string $path, string $content): string
    {
        File::ensureDirectoryExists(dirname($path));
        foreach (['.gz' => (string) gzencode($content, (int) config('anthesis.compression')), '' => $content] as $end => $bytes) {
            file_put_contents("{$path}{$end}.new", $bytes);
            rename("{$path}{$end}.new", "{$path}{$end}");
        }

        return hash('sha256', $content);
    }

    /** @return array{program: string, files: array<string, string>, seal: string, failed?: array<string, string>}|null */
    private static function manifest(Edition $edition): ?array
    {
        $path = self::folder($edition->zone->slug, $edition->number).'/manifest.json';
        $manifest = is_file($path) ? json_decode((string) file_get_contents($path), true) : null;

        return is_array($manifest) && isset($manifest['program'], $manifest['files'], $manifest['seal']) ? $manifest : null;
    }

    /** @param  array{program: string, files: array<string, string>}  $manifest */
    private static function sealOf(Edition $edition, array $manifest): string
    {
        return Seal::of(...self::sealedParts($edition, $manifest));
    }

    /**
     * @param  array{program: string, files: array<string, string>, ...}  $manifest
     * @return list<string>
     */
    private static function sealedParts(Edition $edition, array $manifest): array
    {
        return ['pages', $edition->checksum, $manifest['program'], json_encode($manifest['files'], JSON_THROW_ON_ERROR)];
    }
}
