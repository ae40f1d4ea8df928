<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Record\Day;
use InvalidArgumentException;
use JsonException;

/**
 * A published calendar, frozen: everything a page, feed or file needs, and a checksum over its exact text.
 *
 * @phpstan-import-type Ruler from YearRuler
 * @phpstan-import-type Sheet from CropSheet
 * @phpstan-import-type Week from WeekList
 *
 * @phpstan-type RecordNote array{station: string, first: string, last: string, checksum: string}
 * @phpstan-type Method array{school: string, standard?: string, light?: string, spring_risk: float, autumn_risk: float, hold_for_soil: bool, short_day_allowance: int, site: string}
 * @phpstan-type Zone array{slug: string, name: string, district: string, latitude: float, longitude: float, height_m: int, hemisphere: string, settlements: list<array{name: string, postcode: string|null}>}
 * @phpstan-type Document array{format: string, zone: Zone, edition: array{number: int, published_on: string, published_by: string, note: string}, method: Method, record: RecordNote, ruler: Ruler, crops: list<Sheet>, weeks: list<Week>, guidance: string}
 */
final readonly class EditionDocument
{
    public const FORMAT = 'anthesis-edition-1';

    private const GUIDANCE = 'Sowing dates are guidance from past weather, not a warranty; they take watering, soil and pest control to be '
        .'adequate. Product labels, local rules and medical advice come first.';

    /** @param  Document  $content */
    private function __construct(public array $content, public string $json, public string $checksum)
    {
    }

    /**
     * @param  Ruler  $ruler
     * @param  list<Sheet>  $sheets
     * @param  Method  $method
     * @param  RecordNote  $record
     */
    public static function compose(
        Place $place,
        int $number,
        Day $publishedOn,
        string $publishedBy,
        string $note,
        array $method,
        array $record,
        array $ruler,
        array $sheets,
    ): self {
        $content = [
            'format' => self::FORMAT,
            'zone' => [
                'slug' => $place->slug,
                'name' => $place->name,
                'district' => $place->district,
                'latitude' => $place->latitude->degrees,
                'longitude' => $place->longitude,
                'height_m' => $place->heightM,
                'hemisphere' => $place->latitude->isNorth() ? 'north' : 'south',
                'settlements' => $place->settlements,
            ],
            'edition' => ['number' => $number, 'published_on' => $publishedOn->iso(), 'published_by' => $publishedBy, 'note' => $note],
            'method' => $method,
            'record' => $record,
            'ruler' => $ruler,
            'crops' => $sheets,
            'weeks' => WeekList::of($sheets),
            'guidance' => ($ruler['short_record'] ? self::firstGuess($ruler['seasons']).' ' : '').self::GUIDANCE,
        ];
        $json = json_encode($content, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);

        return new self($content, $json, hash('sha256', $json));
    }

    /** What is said wherever dates of a short record are shown. */
    public static function firstGuess(int $seasons): string
    {
        return "From {$seasons} cold ".($seasons === 1 ? 'season' : 'seasons').': a first guess.';
    }

    /** Whether both tell gardeners the same: all but number, date, author and note. */
    public function saysTheSameAs(self $other): bool
    {
        return array_diff_key($this->content, ['edition' => true]) == array_diff_key($other->content, ['edition' => true]);
    }

    /**
     * @param  string|null  $checksum  what the text must amount to; null: not checked
     *
     * @throws InvalidArgumentException when the text is not an edition, or not the one the checksum was made of
     */
    public static function fromJson(string $json, ?string $checksum = null): self
    {
        $actual = hash('sha256', $json);
        if ($checksum !== null && $checksum !== $actual) {
            throw new InvalidArgumentException("The edition’s text has changed since it was published: its checksum is {$actual}, not {$checksum}.");
        }
        try {
            $content = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $error) {
            throw new InvalidArgumentException('The edition’s text is not JSON: '.$error->getMessage(), 0, $error);
        }
        if (! is_array($content) || ($content['format'] ?? null) !== self::FORMAT) {
            throw new InvalidArgumentException('The text is not an edition of the format '.self::FORMAT.'.');
        }

        /** @var Document $content */
        return new self($content, $json, $actual);
    }
}
