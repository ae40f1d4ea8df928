<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\ClimateSheet;
use Anthesis\Calendar\CropDossier;
use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\WeekList;
use Anthesis\Calendar\YearCourse;
use Anthesis\Calendar\YearRuler;
use Anthesis\Calendar\ZoneComparison;
use Anthesis\Crop\Crop;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Window\School\CountBackSettings;
use Anthesis\Window\School\Grounds;
use Anthesis\Window\School\Schools;

/**
 * All that the calendar's documents hold for the two reference stations, written out: core/tests/fixtures/sheets.txt. Long lists of
 * numbers are told by every thirtieth and their sum.
 */
final class Sheets
{
    private const CROPS = ['radish', 'tomato-main', 'broccoli', 'potato-early'];

    public static function text(): string
    {
        $text = '';
        $zones = [];
        foreach (array_keys(Fixtures::STATIONS) as $station) {
            $record = Fixtures::record($station);
            $latitude = Fixtures::latitude($station);
            $place = PlaceEvidence::of($record, $latitude, Site::openGround());
            $crops = array_map(
                static fn (string $slug): Crop => Fixtures::crops()->find($slug) ??
                    throw new \RuntimeException("No crop {$slug}."),
                self::CROPS,
            );
            $ruler = YearRuler::of($record, $place);
            $climate = ClimateSheet::of($record, $place, ClimateSheet::soilTemperatures($crops), Site::presets());
            $zones[$station] = ['ruler' => $ruler, 'climate' => $climate];
            $schools = Schools::on(
                new Grounds($place, new Replay($record, $latitude, Site::openGround()), CountBackSettings::conventional()),
            );
            $sheets = array_map(
                static fn (Crop $crop): array => CropSheet::of(
                    $crop,
                    'count-back',
                    $schools->all['count-back']->windows($crop, \Anthesis\Window\ProofStandard::Reliable),
                ),
                $crops,
            );
            $text .=
                self::told("{$station} ruler", $ruler).
                self::told("{$station} climate", $climate).
                self::told("{$station} course of 2004", YearCourse::of($record, $latitude, Site::openGround(), 2004)).
                self::told("{$station} dossier", CropDossier::of($crops[0], $schools)).
                self::told("{$station} weeks", WeekList::of($sheets));
        }

        return $text.self::told('zones', ZoneComparison::of($zones + ['twin' => $zones['north']]));
    }

    private static function told(string $name, mixed $value): string
    {
        if (! is_array($value)) {
            return "{$name}: ".json_encode($value, JSON_UNESCAPED_UNICODE)."\n";
        }
        if (count($value) > 60 && array_is_list($value) && array_filter($value, is_numeric(...)) === $value) {
            $some = array_values(array_intersect_key($value, array_flip(range(0, count($value) - 1, 30))));

            return "{$name}: ".count($value).' numbers, sum '.round(array_sum($value), 3).', '.json_encode($some)."\n";
        }
        $json = (string) json_encode($value, JSON_UNESCAPED_UNICODE);
        if (strlen($json) < 500 || array_filter($value, is_array(...)) === []) {
            return "{$name}: {$json}\n";
        }

        return implode(
            '',
            array_map(static fn (string|int $key): string => self::told("{$name} {$key}", $value[$key]), array_keys($value)),
        );
    }
}
