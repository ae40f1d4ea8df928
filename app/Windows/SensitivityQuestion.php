<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Calendar\Sensitivity;
use Anthesis\Crop\Crop;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\CropColumn;
use Anthesis\Crop\NumberBasis;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Tables\CropCsv;
use Anthesis\Tables\CropSources;
use Anthesis\Window\ProofStandard;
use App\Results\Question;
use App\Results\ResultKind;

/** What moves a crop's windows most, among its numbers, its site, and the years in use. */
final readonly class SensitivityQuestion implements Question
{
    /**
     * @param  Crop  $crop  as it is grown in the zone
     * @param  array<string, string>  $cells  of the crop in the office's book
     * @param  array<string, DailyRecord>  $others  the record with another station first, by its name
     */
    public function __construct(
        private Crop $crop,
        private array $cells,
        private Route $route,
        private ProofStandard $standard,
        private array $others,
    ) {
    }

    public function kind(): ResultKind
    {
        return ResultKind::Sensitivity;
    }

    public function inputs(): array
    {
        $others = array_map(static fn (DailyRecord $record): string => $record->checksum(), $this->others);

        return [$this->cells, $this->route->value, $this->standard->value, $others];
    }

    public function of(Place $place): Place
    {
        return $place->withoutSeason()->at($place->site())->growing(CropBook::of([$this->crop]));
    }

    /** @return array{movers: list<array<string, mixed>>} as Sensitivity */
    public function answer(Place $place): array
    {
        $sources = CropSources::shipped();
        $shipped = CropCsv::standardRows()[$this->crop->slug] ?? [];
        $days = $this->crop->growth->maturityDays;

        return [
            'movers' => Sensitivity::of(
                $place,
                $this->cells,
                abs($days - (float) $this->cells['maturity_days']) < 1e-9 ? null : $days,
                // A number the office changed counts as one from a packet.
                fn (CropColumn $column): NumberBasis => ($shipped[$column->name] ?? null) === ($this->cells[$column->name] ?? '')
                    ? $sources->of($this->crop->slug, $column)[0] ?? NumberBasis::Judgment
                    : NumberBasis::Packet,
                $this->route,
                $this->standard->share(),
                $this->others,
            ),
        ];
    }
}
