<?php

declare(strict_types=1);

namespace App\Editions;

use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\NoteCheck;
use Anthesis\Crop\Crop;
use Anthesis\Record\Day;
use Anthesis\Verification\TrackRecord;
use Anthesis\Window\School\FromReplay;
use Anthesis\Words\Phrase;
use App\Crops\ZoneCrops;
use App\Languages\Translation;
use App\Stations\Station;
use App\TrackRecord\ZoneTrackRecord;
use App\Windows\ZoneWindows;
use App\Zones\Computation;
use App\Zones\ComputationState;
use App\Zones\Zone;

/**
 * The next edition of a zone as it would be frozen now: how it differs from the last one, and what has to be explained before it is.
 *
 * @phpstan-import-type Sheet from CropSheet
 * @phpstan-import-type Words from Phrase
 * @phpstan-import-type Sheet from TrackRecord as Judged
 * @phpstan-import-type Kept from EditionDocument
 *
 * @phpstan-type Warning array{key: string, cause: string, phrase: Words}
 */
final class DraftEdition
{
    public function __construct(private readonly ZoneTrackRecord $promises)
    {
    }

    /**
     * @param  ZoneWindows  $windows  the zone's
     * @param  Day|null  $on  date of publication; null: today
     */
    public function document(Zone $zone, ZoneWindows $windows, string $author, string $note, ?Day $on = null): EditionDocument
    {
        $last = $this->last($zone);
        $before = $this->before($zone);

        return EditionDocument::compose(
            $zone->toCalendarZone(),
            ($last->number ?? 0) + 1,
            $on ?? $zone->today(),
            $author,
            $note,
            $windows->method,
            $windows->record,
            $windows->ruler,
            self::forGardeners($windows->sheets()),
            array_map(
                static fn (Crop $c): string => substr($c->checksum(), 0, 16),
                array_column(ZoneCrops::of($zone)->book()->crops(), null, 'slug'),
            ),
            $before?->isSound() ? $before->open() : null,
            Translation::byLanguage(),
            $this->trackRecord($zone, $windows),
            $zone->office->isOneOfSeveral() ? ['mark' => $zone->office->mark->value] + $zone->office->only(['slug', 'name']) : null,
            $zone->office->languagesRead(),
        );
    }

    /**
     * What the published windows promised and kept; counted-back and own dates promise no share of years.
     *
     * @return Kept|null
     */
    private function trackRecord(Zone $zone, ZoneWindows $windows): ?array
    {
        $told = $this->judged($zone, $windows);
        if ($told === null || $told['total']['promised'] === null || $told['total']['kept'] === null) {
            return null;
        }
        $total = $told['total'];

        return [
            'standard' => $windows->standard->value,
            'runs' => $total['runs'],
            'harvests' => $total['harvests'],
            'promised' => $total['promised'],
            'kept' => $total['kept'],
            'crops' => array_map(
                static fn (array $row): array => [
                    'crop' => $row['crop'],
                    'route' => $row['route'],
                    'runs' => $row['runs'],
                    'harvests' => $row['harvests'],
                    'promised' => $row['promised'],
                    'years' => $row['years'],
                    'low' => $row['low'],
                    'high' => $row['high'],
                    'short' => $row['short'],
                ],
                $told['crops'],
            ),
        ];
    }

    /** @return Judged|null the track record of the crops whose dates come from the replay; null without a record */
    private function judged(Zone $zone, ZoneWindows $windows): ?array
    {
        $replayed = [];
        foreach (self::forGardeners($windows->sheets()) as $sheet) {
            if ($sheet['school'] === FromReplay::KEY) {
                $replayed[] = $sheet['slug'];
            }
        }

        return $this->promises->of($zone, $windows->standard, $replayed);
    }

    /** The edition it is compared with: the one gardeners read, unless that was withdrawn. */
    public function before(Zone $zone): ?Edition
    {
        $current = $zone->currentEdition()->first();

        return $current?->standing === true ? $current->setRelation('zone', $zone) : null;
    }

    public function last(Zone $zone): ?Edition
    {
        return Edition::query()->where('zone_id', $zone->id)->orderByDesc('number')->first();
    }

    /**
     * @param  ZoneWindows  $windows  those the draft is made from
     * @return list<Warning> each with a key of its own, which it keeps as long as its cause exists
     */
    public function warnings(Zone $zone, ZoneWindows $windows, EditionDocument $draft): array
    {
        $warnings = [];
        if ($draft->content['ruler']['short_record']) {
            $warnings[] =
                ['cause' => 'short-record'] +
                self::warning('short-record', EditionDocument::firstGuess($draft->content['ruler']['seasons']));
        }
        $doubts = Station::usedBy($zone)->with('decisions')->get()->sum(static fn (Station $s): int => $s->openDoubts());
        if ($doubts > 0) {
            $warnings[] = self::warning("doubts-{$doubts}", Phrase::of('warning.doubts', ['doubts' => $doubts]));
        }
        array_push($warnings, ...self::short($draft), ...$this->turned($zone, $windows));
        foreach ($draft->content['crops'] as $sheet) {
            array_push($warnings, ...self::ofCrop($sheet, $windows, $draft->content['zone']['hemisphere']));
        }

        return $warnings;
    }

    /**
     * @param  array<string, mixed>  $sheet
     * @return list<Warning>
     */
    private static function ofCrop(array $sheet, ZoneWindows $windows, string $hemisphere): array
    {
        $warnings = [];
        $disagreements = $windows->disagreements($sheet['slug']);
        if ($disagreements !== []) {
            $warnings[] = [
                'key' => "disagreement-{$sheet['slug']}",
                'cause' => 'disagreement',
                'phrase' => [
                    'key' => 'warning.disagreement',
                    'with' => ['crop' => $sheet['name'], 'disagreement' => $disagreements[0]],
                ],
            ];
        }
        $season = NoteCheck::contradiction($sheet, $hemisphere);
        if ($season !== null) {
            $warnings[] = self::warning(
                "note-{$sheet['slug']}",
                Phrase::of('warning.note', [
                    'crop' => $sheet['name'],
                    'season' => Phrase::of("season.name.{$season}"),
                    'note' => (string) $sheet['notes'],
                ]),
            );
        }
        foreach ($sheet['routes'] as $route) {
            if ($route['windows'] === [] && ($route['chances'] ?? []) === [] && ($route['no_window'] ?? null) === null) {
                $warnings[] = self::warning(
                    "unexplained-{$sheet['slug']}-{$route['route']}",
                    Phrase::of('warning.unexplained', ['crop' => $sheet['name'], 'act' => Phrase::of("act.{$route['act']}")]),
                );
            }
        }

        return $warnings;
    }

    /** @return list<Warning> for ways of growing whose windows kept less of their promise than chance explains */
    private static function short(EditionDocument $draft): array
    {
        $sheets = array_column($draft->content['crops'], null, 'slug');
        $warnings = [];
        foreach ($draft->content['track_record']['crops'] ?? [] as $row) {
            if ($row['short'] && isset($sheets[$row['crop']])) {
                $sheet = $sheets[$row['crop']];
                $act = array_column($sheet['routes'], 'act', 'route')[$row['route']] ?? '';
                $warnings[] = self::warning(
                    "short-{$row['crop']}-{$row['route']}",
                    Phrase::of('warning.short', [
                        'crop' => $sheet['name'],
                        'act' => Phrase::of("act.{$act}"),
                        'kept' => (int) round((100 * $row['harvests']) / $row['runs']),
                        'promised' => (int) round(100 * ($row['promised'] ?? 0.0)),
                        'years' => $row['years'],
                    ]),
                );
            }
        }

        return $warnings;
    }

    /** @return list<Warning> for ways of growing that came to harvest clearly more or less often in the last 15 years than before */
    private function turned(Zone $zone, ZoneWindows $windows): array
    {
        $warnings = [];
        foreach ($this->judged($zone, $windows)['crops'] ?? [] as $row) {
            if ($row['turned'] !== null) {
                $warnings[] = self::warning(
                    "turned-{$row['crop']}-{$row['route']}",
                    Phrase::of('warning.turned', [
                        'crop' => $row['name'],
                        'act' => Phrase::of("act.{$row['act']}"),
                        'lately' => $row['lately']['kept'],
                        'lately_of' => $row['lately']['years'],
                        'before' => $row['before']['kept'],
                        'before_of' => $row['before']['years'],
                    ]),
                );
            }
        }

        return $warnings;
    }

    /** @return Warning */
    private static function warning(string $key, Phrase $phrase): array
    {
        return ['key' => $key, 'cause' => substr($phrase->key, strrpos($phrase->key, '.') + 1), 'phrase' => $phrase->toArray()];
    }

    /**
     * @param  list<Sheet>  $sheets
     * @return list<Sheet> without cover crops, which are for the soil
     */
    private static function forGardeners(array $sheets): array
    {
        return array_values(array_filter($sheets, static fn (array $sheet): bool => $sheet['kind'] !== Crop::COVER));
    }

    /**
     * The zone's windows.
     *
     * @throws CannotPublish while they are not known, or out of date
     */
    public function windows(Zone $zone): ZoneWindows
    {
        $latest = Computation::query()->where('zone_id', $zone->id)->whereNull('site_id')->latest('id')->first();
        if ($zone->isStale() && $latest !== null) {
            throw new CannotPublish(
                match ($latest->state) {
                    ComputationState::Failed => "The last update failed: {$latest->error} ".
                        'Fix that first. The screens still show older results.',
                    ComputationState::Cancelled => 'The last update was canceled, so the windows are out of date. '.
                        'Update the zone first.',
                    default => 'The windows are being updated. Wait until that is done, check them, then publish.',
                },
            );
        }

        return ZoneWindows::of($zone) ?? throw new CannotPublish('There is nothing to publish yet. Upload a station file first.');
    }
}
