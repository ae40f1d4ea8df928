<?php

declare(strict_types=1);

namespace App\Console;

use App\Stations\SaveDevice;
use App\Stations\Station;
use App\Stations\TakeDroppedFiles;
use App\Zones\Zone;
use Illuminate\Console\Command;

/** Connects a device to a station, and says how to use it. */
class AddDevice extends Command
{
    protected $signature = 'anthesis:add-device
        {zone : the zone’s short name, as in its address}
        {device : what the device is called}
        {--station= : the station’s name; left out: the zone’s first}';

    protected $description = 'Connect a weather station’s device; prints its token, once';

    public function handle(SaveDevice $save): int
    {
        $zone = Zone::query()->where('slug', $this->argument('zone'))->first();
        if ($zone === null) {
            $this->error('There is no such zone. Its short name is the last part of its address: /zones/…');

            return self::FAILURE;
        }
        $stations = Station::query()->where('zone_id', $zone->id)->orderBy('rank');
        $station = ($this->option('station') === null ? $stations : $stations->where('name', $this->option('station')))->first();
        if ($station === null) {
            $this->error('There is no such station in this zone. Upload a first file at the desk, then add the device.');

            return self::FAILURE;
        }
        [, $token] = $save->add($station, mb_substr((string) $this->argument('device'), 0, 80));
        $this->line("Token: {$token}");
        $this->line('It is shown only now. Send days with it:');
        $this->line('  curl -H "Authorization: Bearer '.$token.'" --data-binary @days.csv '.url('/api/station-reports'));
        $this->line("Or drop files into {$this->folder($station)}/");

        return self::SUCCESS;
    }

    private function folder(Station $station): string
    {
        return TakeDroppedFiles::folder()."/{$station->id}";
    }
}
