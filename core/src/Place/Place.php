<?php

declare(strict_types=1);

namespace Anthesis\Place;

use Anthesis\Crop\CropBook;
use Anthesis\Crop\LightSchool;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Site;
use Closure;
use LogicException;

/**
 * Everything a computation depends on: the record, the latitude, the growing sites, how light counts, the crop book and, for a season in
 * progress, today and the outlook. Whatever is computed from a place may be kept under its fingerprint.
 *
 * A computation narrows the place to what it needs (`at`, `growing`, `withoutSeason`). It can neither use what it no longer has, nor be
 * keyed by it.
 */
final class Place
{
    private ?string $fingerprint = null;

    private ?string $grounds = null;

    /**
     * @param  KnownRecord  $years  the days that windows are computed from
     * @param  KnownRecord  $whole  every day on record
     * @param  non-empty-list<Site>  $sites  the one in use first
     * @param  Season|null  $season  null: no season is looked at
     * @param  bool  $waitsForSoil  whether windows wait for each crop's own minimum soil temperature
     * @param  bool  $waitsForGround  whether windows for tasks in open ground wait until it can be worked
     */
    public function __construct(
        public readonly KnownRecord $years,
        public readonly KnownRecord $whole,
        public readonly Latitude $latitude,
        public readonly LightSchool $light,
        public readonly array $sites,
        public readonly CropBook $book,
        private readonly ?Season $season = null,
        private readonly Made $made = new Made(),
        public readonly bool $waitsForSoil = true,
        public readonly bool $waitsForGround = false,
    ) {
    }

    /** @return Site the site in use */
    public function site(): Site
    {
        return $this->sites[0];
    }

    /** @return YearDay where the year starts: windows are listed from that day on */
    public function yearStart(): YearDay
    {
        return $this->latitude->yearStart();
    }

    /** @throws LogicException if no season is looked at */
    public function today(): Day
    {
        return $this->season()->today;
    }

    /** @return DailyRecord|null the forecast from today on; null: none */
    public function outlook(): ?DailyRecord
    {
        return $this->season()->outlook;
    }

    /** @return DailyRecord what is on record up to the day before today; days not reported yet are missing */
    public function known(): DailyRecord
    {
        return $this->years->before($this->today());
    }

    public function hasSeason(): bool
    {
        return $this->season !== null;
    }

    /** @return self at this site, and no other */
    public function at(Site $site): self
    {
        return $this->with(sites: [$site]);
    }

    public function growing(CropBook $book): self
    {
        return $this->with(book: $book);
    }

    public function withoutSeason(): self
    {
        return $this->with(season: null);
    }

    public function inSeason(Day $today, ?DailyRecord $outlook): self
    {
        return $this->with(season: new Season($today, $outlook));
    }

    /** @return self with windows computed from other days */
    public function overYears(DailyRecord $years): self
    {
        return $this->with(years: KnownRecord::of($years));
    }

    /** The same place with some parts replaced, each under its own name. */
    private function with(mixed ...$parts): self
    {
        $own = array_diff_key(get_object_vars($this), ['fingerprint' => true, 'grounds' => true]);

        // @phpstan-ignore argument.type (PHP itself checks each part against its declared type)
        return new self(...$parts + $own);
    }

    /** @return string of all of it, SHA-256 in hexadecimal: places with the same fingerprint are the same to every computation */
    public function fingerprint(): string
    {
        return $this->fingerprint ??= self::hashed([$this->grounds(), $this->sites, $this->book->fingerprint()]);
    }

    /**
     * Something made from the record, the light, the site in use, and the season, but not from other sites or the book. It is made once for
     * all places that share those, because it is expensive.
     *
     * @template T of object
     *
     * @param  class-string<T>  $class  its class
     * @param  Closure(): T  $make
     * @param  string  $with  what else it is made from
     * @return T
     */
    public function once(string $class, Closure $make, string $with = ''): object
    {
        return $this->made->once("{$class} {$with} {$this->grounds()}", $class, $make);
    }

    /** @return string of everything but the other sites and the book */
    private function grounds(): string
    {
        return $this->grounds ??= self::hashed([
            $this->years->checksum,
            $this->whole->checksum,
            $this->latitude->degrees,
            $this->light->value,
            $this->site(),
            $this->season?->today->iso(),
            $this->season?->outlook?->checksum(),
            $this->waitsForSoil,
            $this->waitsForGround,
        ]);
    }

    /** @throws LogicException if no season is looked at */
    private function season(): Season
    {
        return $this->season ??
            throw new LogicException('No season of this place is looked at: a computation that needs one must not narrow it away.');
    }

    /** @param  list<mixed>  $parts */
    private static function hashed(array $parts): string
    {
        return hash('sha256', json_encode($parts, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }
}
