<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Record\Day;
use Anthesis\Words\Phrase;

/**
 * A published calendar, locked: everything a page, feed, or file needs, and a checksum over its exact text.
 *
 * @phpstan-import-type Ruler from YearRuler
 * @phpstan-import-type Sheet from CropSheet
 * @phpstan-import-type Week from WeekList
 * @phpstan-import-type Words from Phrase
 * @phpstan-import-type Change from EditionDifference
 *
 * `translations`: of what people wrote in it (names, notes, reasons), by language and text. `crop_numbers`: a fingerprint of each crop's
 * parameters. `changes`: what differs from the edition before, if there was one
 *
 * `track_record`: what windows at the confidence level promised and kept, judged by the years they were not made from; null if none could
 * be judged. `office`: who publishes it, if several offices publish side by side. `languages`: those it is read in, if not all
 *
 * @phpstan-type Kept array{standard: string, runs: int, harvests: int, promised: float, kept: float, crops: list<array{crop: string, route: string, runs: int, harvests: int, promised: float|null, years: int, low: float, high: float, short: bool}>}
 * @phpstan-type Office array{slug: string, name: string, mark: string}
 * @phpstan-type RecordNote array{station: string, first: string, last: string, checksum: string}
 * @phpstan-type Method array{edition?: int, school: string, standard?: string, light?: string, spring_risk: float, autumn_risk: float, hold_for_soil: bool, short_day_allowance: int, waits_for_soil?: bool, waits_for_ground?: bool, site: string}
 * @phpstan-type Zone array{slug: string, name: string, district: string, latitude: float, longitude: float, height_m: int, hemisphere: string, settlements: list<array{name: string, postcode: string|null}>}
 * @phpstan-type Document array{format: string, zone: Zone, edition: array{number: int, published_on: string, published_by: string, note: string}, method: Method, record: RecordNote, ruler: Ruler, crops: list<Sheet>, weeks: list<Week>, guidance: list<Words>, translations?: array<string, array<string, string>>, crop_numbers?: array<string, string>, changes?: array{against: int, list: list<Change>}, track_record?: Kept|null, office?: Office, languages?: list<string>}
 */
final readonly class EditionDocument
{
    public const FORMAT = 'anthesis-edition-2';

    /**
     * @param  Document  $content
     * @param  array{on: string, reason: string}|null  $notice  that it was withdrawn, which its text cannot know
     */
    private function __construct(public array $content, public string $json, public string $checksum, public ?array $notice = null)
    {
    }

    /**
     * @param  Ruler  $ruler
     * @param  list<Sheet>  $sheets
     * @param  Method  $method
     * @param  RecordNote  $record
     * @param  array<string, string>  $cropNumbers  fingerprint of each crop's parameters, by slug
     * @param  self|null  $before  the edition before it
     * @param  array<string, array<string, string>>  $translations  of texts, by language; those of texts that occur in it are kept
     * @param  Kept|null  $trackRecord  null: nothing could be judged
     * @param  Office|null  $office  null: there is only one, which its calendars need not name
     * @param  list<string>|null  $languages  that it is read in; null: all there are
     */
    public static function compose(
        CalendarZone $place,
        int $number,
        Day $publishedOn,
        string $publishedBy,
        string $note,
        array $method,
        array $record,
        array $ruler,
        array $sheets,
        array $cropNumbers = [],
        ?self $before = null,
        array $translations = [],
        ?array $trackRecord = null,
        ?array $office = null,
        ?array $languages = null,
    ): self {
        $content = [
            'format' => self::FORMAT,
            'zone' => self::zone($place),
            'edition' => ['number' => $number, 'published_on' => $publishedOn->iso(), 'published_by' => $publishedBy, 'note' => $note],
            'method' => $method,
            'record' => $record,
            'ruler' => $ruler,
            'crops' => $sheets,
            'weeks' => WeekList::of($sheets),
            'guidance' => array_map(
                static fn (Phrase $p): array => $p->toArray(),
                array_values(array_filter([$ruler['short_record'] ? self::firstGuess($ruler['seasons']) : null, Phrase::of('guidance')])),
            ),
            'crop_numbers' => array_intersect_key($cropNumbers, array_column($sheets, null, 'slug')),
            'track_record' => $trackRecord,
        ];
        if ($before !== null) {
            $content['changes'] = [
                'against' => $before->content['edition']['number'],
                'list' => EditionDifference::between($before->content, $content),
            ];
        }

        $texts = array_fill_keys(self::texts($content), true);
        $translated = array_filter(array_map(static fn (array $own): array => array_intersect_key($own, $texts), $translations));
        if ($translated !== []) {
            $content['translations'] = $translated;
        }
        if ($office !== null) {
            $content['office'] = $office;
        }
        if ($languages !== null) {
            $content['languages'] = $languages;
        }

        return self::frozen($content, json_encode($content, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
    }

    /** @return Zone */
    private static function zone(CalendarZone $place): array
    {
        return [
            'slug' => $place->slug,
            'name' => $place->name,
            'district' => $place->district,
            'latitude' => $place->latitude->degrees,
            'longitude' => $place->longitude,
            'height_m' => $place->heightM,
            'hemisphere' => $place->latitude->isNorth() ? 'north' : 'south',
            'settlements' => $place->settlements,
        ];
    }

    /**
     * What people wrote in a document, for translators: crops' names and other names, notes, reasons for own dates, sites, the district.
     *
     * @param  array{zone: Zone, edition: array{note: string, ...}, crops: list<Sheet>, ...}  $content
     * @return list<string> each once
     */
    public static function texts(array $content): array
    {
        $texts = [$content['zone']['district'], $content['edition']['note']];
        foreach ($content['crops'] as $sheet) {
            array_push($texts, $sheet['name'], $sheet['notes'] ?? '', $sheet['also_called'] ?? '');
            foreach ($sheet['routes'] as $route) {
                foreach ($route['derivation'] as $line) {
                    $reason = $line['label']['with']['reason'] ?? null;
                    if ($line['label']['key'] === 'derivation.own' && is_string($reason)) {
                        $texts[] = $reason;
                    }
                    $site = $line['source']['with']['site'] ?? null;
                    if (is_string($site)) {
                        $texts[] = $site;
                    }
                }
            }
        }

        return array_values(array_filter(array_unique($texts), static fn (string $text): bool => $text !== ''));
    }

    /** What is said wherever the dates of a short record are shown. */
    public static function firstGuess(int $seasons): Phrase
    {
        return Phrase::of('first-guess', ['seasons' => $seasons]);
    }

    /** @param  array{on: string, reason: string}|null  $notice  that it was withdrawn: the day, ISO 8601, and why */
    public function withNotice(?array $notice): self
    {
        return new self($this->content, $this->json, $this->checksum, $notice);
    }

    /** Whether both tell gardeners the same, apart from the number, date, author, and note, and what only explains them. */
    public function saysTheSameAs(self $other): bool
    {
        $aside = ['edition' => true, 'crop_numbers' => true, 'changes' => true, 'track_record' => true];

        return array_diff_key($this->content, $aside) == array_diff_key($other->content, $aside);
    }

    /**
     * @param  Document  $content
     * @param  string  $json  the text it was read from, or is kept as
     */
    public static function frozen(array $content, string $json): self
    {
        return new self($content, $json, hash('sha256', $json));
    }
}
