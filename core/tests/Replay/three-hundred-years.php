<?php

declare(strict_types=1);

// Computes crops of every kind on three hundred years, as the application does for a zone. Run by MemoryTest with a limit on memory.

use Anthesis\Calendar\CropDossier;
use Anthesis\Climate\RecordYears;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Tables\CropCsv;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Window\School\CountBackSettings;
use Anthesis\Window\School\Grounds;
use Anthesis\Window\School\Remedies;
use Anthesis\Window\School\Schools;

require dirname(__DIR__, 2).'/autoload.php';

mt_srand(5);
$minimum = $maximum = [];
for ($number = Day::of(1726, 1, 1)->number; $number <= Day::of(2025, 12, 31)->number; $number++) {
    $mean = round(5.2 - 11.8 * cos((2 * M_PI * (Day::yearDayOf($number) - 20)) / 365) + mt_rand(-60, 60) / 10, 1);
    [$minimum[], $maximum[]] = [$mean - 6.5, $mean + 6.5];
}
$record = RecordYears::atMost(new DailyRecord(Day::of(1726, 1, 1), $minimum, $maximum));
unset($minimum, $maximum);
$latitude = Latitude::of(47.1);
$site = Site::openGround();
$schools = Schools::on(
    new Grounds(
        PlaceEvidence::of($record, $latitude, $site),
        new Replay($record, $latitude, $site),
        CountBackSettings::conventional(),
        new Remedies(),
    ),
);
// Some of them have no window in a place as cold as this, so that other sites are tried.
$crops = array_filter(
    CropCsv::standard()->crops,
    static fn ($crop): bool => in_array(
        $crop->slug,
        ['radish', 'onion-long-day', 'garlic-hardneck', 'muskmelon', 'tomato-main', 'carrot'],
        true,
    ),
);
foreach ($crops as $crop) {
    CropDossier::of($crop, $schools);
}
echo "{$record->days()} days, ", count($crops), " crops\n", round(memory_get_peak_usage() / 1048576), " MiB\n";
