<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\WindowDifference;
use Anthesis\Crop\Crop;
use Anthesis\Place\Place;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\School\FromReplay;
use Anthesis\Words\Phrase;
use App\Results\Question;
use App\Results\ResultKind;

/**
 * The windows of one crop at every site, and of its varieties in open ground, with what each gains compared with the crop there.
 *
 * @phpstan-import-type Span from CropSheet
 * @phpstan-import-type Words from Phrase
 *
 * @phpstan-type Compared array{name: string, route: string, act: string, windows: list<Span>, phrase: Words|null}
 */
final readonly class ComparisonQuestion implements Question
{
    public function __construct(private Crop $crop, private ProofStandard $standard)
    {
    }

    public function kind(): ResultKind
    {
        return ResultKind::Comparison;
    }

    public function inputs(): array
    {
        return [$this->standard->value];
    }

    public function of(Place $place): Place
    {
        return $place->withoutSeason()->growing($place->book->only($this->crop));
    }

    /** @return array{sites: list<Compared>, varieties: list<Compared>} */
    public function answer(Place $place): array
    {
        $windows = fn (FromReplay $school, Crop $grown): array => array_combine(
            array_column($grown->routes, 'value'),
            $school->windows($grown, $this->standard),
        );
        $out = ['sites' => [], 'varieties' => []];
        $base = [];
        foreach ($place->sites as $i => $site) {
            $school = FromReplay::ofPlace($place->at($site));
            $routes = $windows($school, $this->crop);
            if ($i === 0) {
                $base = array_map(static fn (RouteWindows $r): array => array_map(CropSheet::span(...), $r->windows), $routes);
                foreach ($place->book->varietiesOf($this->crop->slug) as $variety) {
                    array_push(
                        $out['varieties'],
                        ...self::rows(
                            $variety->crop,
                            $variety->name,
                            $windows($school, $variety->crop),
                            $base,
                            Phrase::of('difference.the-crop'),
                        ),
                    );
                }
            }
            array_push($out['sites'], ...self::rows($this->crop, $site->name, $routes, $i === 0 ? [] : $base, $place->site()->name));
        }

        return $out;
    }

    /**
     * @param  array<string, RouteWindows>  $routes
     * @param  array<string, list<Span>>  $base  windows to compare with; empty: these are the base
     * @param  string|Phrase  $than  name of the base
     * @return list<Compared>
     */
    private static function rows(Crop $crop, string $name, array $routes, array $base, string|Phrase $than): array
    {
        $rows = [];
        foreach ($routes as $route => $windows) {
            $sheet = CropSheet::routes($crop, [$windows])[0];
            $rows[] = [
                'name' => $name,
                'route' => $route,
                'act' => $sheet['act'],
                'windows' => $sheet['windows'],
                'phrase' => isset($base[$route]) ? WindowDifference::phrase($sheet['windows'], $base[$route], $than)?->toArray() : null,
            ];
        }

        return $rows;
    }
}
