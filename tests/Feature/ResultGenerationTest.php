<?php

declare(strict_types=1);

namespace Tests\Feature;

use Anthesis\Calendar\ClimateSheet;
use Anthesis\Calendar\CropDossier;
use Anthesis\Calendar\YearRuler;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Window\School\CountBackSettings;
use Anthesis\Window\School\Grounds;
use Anthesis\Window\School\Schools;
use App\Results\Result;
use PHPUnit\Framework\TestCase;

/** Results are kept under a fingerprint of their inputs. If the same inputs now give another result, the generation must change. */
final class ResultGenerationTest extends TestCase
{
    private const FILE = __DIR__.'/../fixtures/result-generation.json';

    public function test_a_changed_result_has_a_new_generation(): void
    {
        $record = Fixtures::record('south');
        $latitude = Fixtures::latitude('south');
        $place = PlaceEvidence::of($record, $latitude, Site::openGround());
        $schools = Schools::on(new Grounds($place, new Replay($record, $latitude, Site::openGround()), CountBackSettings::conventional()));
        $crops = Fixtures::crops()->crops;
        $results = [
            YearRuler::of($record, $place),
            ClimateSheet::of($record, $place, ClimateSheet::soilTemperatures($crops), Site::presets()),
        ];
        foreach (['radish', 'broccoli', 'garlic-hardneck', 'bulb-onion', 'tomato'] as $slug) {
            $crop = Fixtures::crops()->find($slug) ?? $crops[0];
            $results[] = CropDossier::of($crop, $schools);
        }
        // As a reader of JSON sees them, to nine digits, because the last ones differ from machine to machine.
        array_walk_recursive($results, static function (mixed &$value): void {
            $value = is_float($value) ? sprintf('%.9g', $value) : $value;
        });
        $now = ['generation' => Result::GENERATION, 'results' => hash('sha256', json_encode($results, JSON_THROW_ON_ERROR))];
        $kept = json_decode((string) @file_get_contents(self::FILE), true);
        self::assertSame(
            $kept,
            $now,
            'Results are not what they were. Raise Result::GENERATION by one if it is still '.
                ($kept['generation'] ?? 0).
                ', have a migration put what was computed before aside, and write into tests/fixtures/result-generation.json: '.
                json_encode($now),
        );
    }
}
