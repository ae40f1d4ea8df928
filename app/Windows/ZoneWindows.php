<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Calendar\CropDossier;
use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\YearRuler;
use Anthesis\Crop\Crop;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\School\FromReplay;
use Anthesis\Window\School\OwnDates;
use Anthesis\Words\Phrase;
use App\Crops\Crop as CropModel;
use App\Crops\Variety;
use App\Crops\ZoneCrops;
use App\Results\Results;
use App\Sites\Site;
use App\Zones\Computation;
use App\Zones\Zone;

/**
 * The results of a zone's latest computation at a site: the ruler, and what is known about each crop by which method.
 *
 * @phpstan-import-type Ruler from YearRuler
 * @phpstan-import-type Sheet from CropSheet
 * @phpstan-import-type Dossier from CropDossier
 * @phpstan-import-type Method from EditionDocument
 * @phpstan-import-type RecordNote from EditionDocument
 * @phpstan-import-type Words from Phrase
 */
final readonly class ZoneWindows
{
    public const NOT_YET = 'The zone has not been computed yet. Upload a station file first.';

    /**
     * @param  Method  $method
     * @param  RecordNote  $record
     * @param  Ruler  $ruler
     * @param  array<string, Dossier>  $dossiers  by crop, in the order of the book
     * @param  array<string, CropChoice>  $choices  by crop
     * @param  array<string, Crop>  $byHand  crops with the educator's own dates
     */
    private function __construct(
        public string $zone,
        public string $computedAt,
        public array $method,
        public array $record,
        public array $ruler,
        public array $dossiers,
        public array $choices,
        private array $byHand,
        public ProofStandard $standard,
        public bool $stale,
    ) {
    }

    /**
     * @param  Site|null  $site  null: open ground
     * @param  ProofStandard|null  $standard  null: the zone's
     * @param  string|null  $only  only this crop; null: all
     * @return self|null null if the zone has not been computed there yet
     */
    public static function of(Zone $zone, ?Site $site = null, ?ProofStandard $standard = null, ?string $only = null): ?self
    {
        $computation = Computation::currentOf($zone, $site);
        if ($computation?->record === null || $computation->ruler_hash === null || $computation->method === null) {
            return null;
        }
        $hashes = $computation->sheet_hashes ?? [];
        $hashes = $only === null ? $hashes : array_intersect_key($hashes, [$only => true]);
        $results = Results::read([$computation->ruler_hash, ...array_values($hashes)]);
        /** @var Ruler $ruler */
        $ruler = $results[$computation->ruler_hash];
        $dossiers = [];
        foreach ($hashes as $crop => $hash) {
            /** @var Dossier $dossier */
            $dossier = $results[$hash];
            $dossiers[$crop] = $dossier;
        }
        $standard ??= ProofStandard::from($zone->standard);
        /** @var array<string, CropChoice> $choices */
        $choices = CropChoice::holdingIn($zone)->get()->keyBy('crop')->all();

        return new self(
            $zone->slug,
            (string) $computation->finished_at?->toIso8601String(),
            ['standard' => $standard->value] + $computation->method,
            $computation->record,
            $ruler,
            $dossiers,
            $choices,
            self::byHand($zone, $choices),
            $standard,
            $zone->isStale(),
        );
    }

    /**
     * @param  array<string, CropChoice>  $choices
     * @return array<string, Crop>
     */
    private static function byHand(Zone $zone, array $choices): array
    {
        $slugs = array_keys(array_filter($choices, static fn (CropChoice $c): bool => $c->school === OwnDates::KEY));

        return $slugs === []
            ? []
            : array_map(ZoneCrops::of($zone)->crop(...), CropModel::query()->whereIn('slug', $slugs)->get()->keyBy('slug')->all());
    }

    /** @return string the method the calendar follows for a crop */
    public function school(string $crop): string
    {
        return isset($this->choices[$crop]) ? $this->choices[$crop]->school : $this->method['school'];
    }

    /**
     * The confidence levels that make a difference: none when counting back; for a replay, those that its years can tell apart.
     *
     * @return list<string>
     */
    public function standards(): array
    {
        if ($this->method['school'] !== FromReplay::KEY) {
            return [];
        }

        return array_values(
            array_map(
                static fn (ProofStandard $s): string => $s->value,
                array_filter(ProofStandard::cases(), fn (ProofStandard $s): bool => $s->canBeToldFrom($this->ruler['seasons'])),
            ),
        );
    }

    /** @return list<Words> where the record disagrees with dates from another method, or set by hand */
    public function disagreements(string $crop): array
    {
        $school = $this->school($crop);
        $dossier = $this->dossiers[$crop];

        return match ($school) {
            FromReplay::KEY => [],
            OwnDates::KEY => CropDossier::disagreements($dossier, $this->choices[$crop]->ownDates()->dates),
            default => CropDossier::disagreements(
                $dossier,
                CropDossier::windowsOf(CropDossier::routes($dossier, $school, $this->standard)),
            ),
        };
    }

    /** @return list<Variety> of a crop, in the order in which they were added */
    public function varieties(string $crop): array
    {
        return array_values(CropModel::query()->where('slug', $crop)->firstOrFail()->varieties()->get()->all());
    }

    /** @return Sheet */
    public function sheet(string $crop): array
    {
        $school = $this->school($crop);

        return $school === OwnDates::KEY
            ? CropDossier::ownSheet($this->dossiers[$crop], $this->byHand[$crop], $this->choices[$crop]->ownDates(), $this->standard)
            : CropDossier::sheet($this->dossiers[$crop], $school, $this->standard);
    }

    /** @return list<Sheet> in the order of the book */
    public function sheets(): array
    {
        return array_map($this->sheet(...), array_keys($this->dossiers));
    }
}
