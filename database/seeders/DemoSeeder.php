<?php

declare(strict_types=1);

namespace Database\Seeders;

use Anthesis\Record\Day;
use Anthesis\Window\School\OwnDates;
use App\Advisories\PublishAdvisory;
use App\Crops\Crop;
use App\Crops\FoundOffice;
use App\Editions\DraftEdition;
use App\Editions\PublishEdition;
use App\Editions\SaveObjection;
use App\Gardener\Reading;
use App\Languages\SaveTranslation;
use App\Letters\KeepLetterReader;
use App\Office\Office;
use App\Office\SaveOffice;
use App\Operations\OfficeInUse;
use App\Operations\Today;
use App\People\Role;
use App\People\User;
use App\Simulation\SimulatedClimate;
use App\Simulation\SimulatedProbe;
use App\Simulation\SimulatedStation;
use App\Simulation\SimulatedStations;
use App\Sites\Site;
use App\Soil\KeepReading;
use App\Soil\SaveSpot;
use App\Stations\KeepStationFile;
use App\Windows\ChooseSchool;
use App\Zones\Computation;
use App\Zones\ComputationState;
use App\Zones\SaveBoundaries;
use App\Zones\SaveZone;
use App\Zones\Zone;
use Closure;
use Illuminate\Database\Seeder;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use RuntimeException;

/**
 * The invented Kestrel Basin Extension and two partner districts: people, zones, simulated records, one edition each. Everything is done
 * the way a person would do it: with the same actions and files.
 *
 * @phpstan-type DemoZone array{array{name: string, district: string, latitude: float, longitude: float, height_m: int, time_zone: string, settlements: list<array{name: string, postcode: string}>}, string}
 */
class DemoSeeder extends Seeder
{
    public const PASSWORD = 'kestrel-demo';

    /** Name, address, and role in the Kestrel Basin office and in the partner district's; null: none. */
    private const PEOPLE = [
        ['Wren Adeyemi-Holt', 'wren@kestrel.example', Role::Educator, null],
        ['Tobias Marchetti', 'tobias@kestrel.example', Role::Volunteer, null],
        ['Ines Okonkwo-Reyes', 'ines@kestrel.example', Role::Administrator, null],
        ['Odalys Brandvold', 'odalys@kestrel.example', Role::Reviewer, null],
        ['Corwin Hale-Sato', 'corwin@kestrel.example', Role::Educator, Role::Administrator],
        ['Jun Hartsock', 'jun@kestrel.example', null, Role::Volunteer],
    ];

    /** Who sets up which office. */
    private const EDUCATOR = 'wren@kestrel.example';

    private const VOLUNTEER = 'tobias@kestrel.example';

    private const REVIEWER = 'odalys@kestrel.example';

    private const PARTNER = 'corwin@kestrel.example';

    /** The partner district that is an office of its own, and its zones. */
    private const PARTNERS_ZONES = ['Saltbush Flats'];

    private const PARTNERS_OFFICE = [
        'name' => 'Saltbush District Extension',
        'mark' => 'clay',
        'mail' => 'growers@saltbush.example',
        'phone' => '+00 555 0171',
        'address' => "3 Wellhead Street\nOchre Wells",
        'hours' => 'Mornings from 7, before the heat.',
        'licence' => 'CC BY 4.0',
        'second_signature' => false,
        'units' => 'us',
        'dates' => 'month',
    ];

    private const WITH_NEIGHBOUR = 'orchard-bench';

    private const WITH_OWN_DATES = 'basin-floor';

    private const WITH_COMMENT = 'high-meadow';

    /** Spots where soil is measured, and what kind of growing site each is. */
    private const SPOTS = ['Bed 3' => 'raised bed', 'Pots by the door' => 'container', 'Cells in the frame' => 'cold frame'];

    private const OFFICE = [
        'name' => 'Kestrel Basin Extension',
        'mail' => 'garden@kestrel.example',
        'phone' => '+00 555 0140',
        'address' => "12 Saddlewick Road\nPort Ilvane",
        'hours' => 'Tuesday and Thursday, 9 to 12; seed swap on the first Saturday of a month.',
        'licence' => 'CC BY 4.0',
        'second_signature' => false,
        'units' => 'us',
        'dates' => 'month',
    ];

    /** What people wrote in the demonstration, in Spanish; the crops that ship have theirs. */
    private const IN_SPANISH = [
        'Tuesday and Thursday, 9 to 12; seed swap on the first Saturday of a month.' => 'Martes y jueves, de 9 a 12; intercambio de semillas el primer sábado de cada mes.',
        'First calendar of this zone, from its own station record.' => 'Primer calendario de esta zona, a partir del registro de su propia estación.',
        'The growers’ club sows together after the plant fair.' => 'El club de horticultores siembra en común después de la feria de plantas.',
        'Saltbush partner district' => 'Distrito asociado de Saltbush',
        'Averrin partner district' => 'Distrito asociado de Averrin',
        'Mornings from 7, before the heat.' => 'Por la mañana desde las 7, antes del calor.',
    ];

    private const MEASURED_AGO = [13, 10, 7, 4, 1];

    /** How long a worker may take for anything. */
    private const WAIT_S = 900;

    /** crop => [name, days to maturity, counted from, tags][]; all invented */
    private const VARIETIES = [
        'bush-bean' => [
            ['Harrow Early', '46', 'sowing', ['quick']],
            ['Kestrel Bush', '54', 'sowing', []],
            ['Saltbush Standby', '58', 'sowing', ['heat-proof']],
        ],
        'carrot' => [['Basin Quick', '58', 'sowing', ['quick']], ['Basin Long', '82', 'sowing', ['storage']]],
        'lettuce-leaf' => [['Shoreline', '42', 'sowing', ['quick']], ['Ochre Leaf', '50', 'sowing', ['heat-proof']]],
        'tomato-main' => [['Fennick Red', '68', 'transplant', ['quick']], ['Bench Beef', '84', 'transplant', []]],
        'pea-snap' => [['Saddle Dwarf', '56', 'sowing', ['quick']], ['Tall Marl', '70', 'sowing', []]],
        'onion-long-day' => [['Basin Globe', '100', 'transplant', []], ['Marl Keeper', '112', 'transplant', ['storage']]],
        'broccoli' => [['Upper Green', '52', 'transplant', ['quick']], ['Dunmarrow', '70', 'transplant', []]],
    ];

    /**
     * Workers compute and render what this queues, several zones at a time; it waits for them where it needs what they make. If
     * QUEUE_CONNECTION is “sync”, it does all of it itself.
     */
    public function run(): void
    {
        $kestrel = Office::query()->firstOrFail();
        $saltbush = app(FoundOffice::class)->execute(self::PARTNERS_OFFICE['name']);
        foreach (self::PEOPLE as [$name, $email, $here, $there]) {
            $user = User::query()->create(['name' => $name, 'email' => $email, 'password' => self::PASSWORD]);
            foreach (array_filter([$kestrel->id => $here, $saltbush->id => $there]) as $office => $role) {
                $user->memberships()->create(['office_id' => $office, 'role' => $role]);
            }
        }
        $offices = [[$kestrel, self::OFFICE, self::EDUCATOR], [$saltbush, self::PARTNERS_OFFICE, self::PARTNER]];
        foreach ([$this->found(...), $this->publish(...), $this->live(...)] as $step) {
            foreach ($offices as [$office, $values, $email]) {
                $zones = array_filter(
                    $this->zones(),
                    static fn (array $zone): bool => in_array($zone[0]['name'], self::PARTNERS_ZONES, true) === ($office === $saltbush),
                );
                OfficeInUse::within($office->id, static fn () => $step($zones, self::person($email), $values));
            }
        }
        self::await('What is queued', static fn (): bool => Queue::size('default') + Queue::size('sites') === 0);
    }

    private static function person(string $email): User
    {
        return User::query()->where('email', $email)->firstOrFail();
    }

    private static function named(string $zone): Zone
    {
        return Zone::query()->where('name', $zone)->firstOrFail();
    }

    /**
     * The office, its words and varieties, and its zones with their records.
     *
     * @param  array<int, DemoZone>  $zones
     * @param  array<string, string|bool>  $office
     */
    private function found(array $zones, User $educator, array $office): void
    {
        app(SaveOffice::class)->execute($office, 1, $educator);
        foreach (self::IN_SPANISH as $text => $translation) {
            app(SaveTranslation::class)->execute('es', $text, $translation, null, $educator);
        }
        $this->varieties();
        foreach ($zones as [$values]) {
            $zone = app(SaveZone::class)->create($values, $educator);
            $climate = SimulatedStations::climate($zone->slug) ?? throw new RuntimeException("{$zone->name} has no weather.");
            $this->bringRecord($zone, $climate, $educator);
        }
    }

    /**
     * Each zone's first edition.
     *
     * @param  array<int, DemoZone>  $zones
     */
    private function publish(array $zones, User $educator): void
    {
        foreach ($zones as [$values, $note]) {
            $zone = self::named($values['name']);
            self::await("The computation of {$zone->name}", static fn (): bool => self::isComputed($zone));
            if ($zone->slug === self::WITH_OWN_DATES) {
                app(ChooseSchool::class)->execute(
                    $zone,
                    'pumpkin',
                    OwnDates::KEY,
                    [
                        'direct' => [['first' => '05-15', 'last' => '05-28']],
                        'transplant' => [['first' => '05-25', 'last' => '06-05']],
                    ],
                    'The growers’ club sows together after the plant fair.',
                    null,
                    $educator,
                );
            }
            app(PublishEdition::class)->execute(
                $zone->refresh(),
                $note,
                (string) Str::uuid(),
                $educator,
                answers: $this->answers($zone),
            );
        }
    }

    /**
     * What people do and write once the calendars are published.
     *
     * @param  array<int, DemoZone>  $zones
     */
    private function live(array $zones, User $educator): void
    {
        foreach ($zones as [$values]) {
            $zone = self::named($values['name']);
            self::await("The calendar of {$zone->name}", static fn (): bool => $zone->refresh()->currentEdition !== null);
            if ($zone->slug === self::WITH_OWN_DATES) {
                $this->measureSoil($zone);
                app(DemoLog::class)->sow($zone, self::person(self::VOLUNTEER), $educator);
            }
            self::words($zone, $educator);
        }
        $boundaries = self::boundaries(array_column(array_column($zones, 0), 'name'));
        app(SaveBoundaries::class)->execute($boundaries, (string) Str::uuid(), $educator);
    }

    /** @throws RuntimeException with the reason, if it failed */
    private static function isComputed(Zone $zone): bool
    {
        $states = Computation::query()->where('zone_id', $zone->id)->orderBy('id')->get(['state', 'error']);
        foreach ($states as $computation) {
            if ($computation->state === ComputationState::Failed) {
                throw new RuntimeException("{$zone->name}: {$computation->error}");
            }
        }

        return $states->every(static fn (Computation $c): bool => $c->state === ComputationState::Done);
    }

    /** @param  Closure(): bool  $isDone */
    private static function await(string $what, Closure $isDone): void
    {
        for ($until = microtime(true) + self::WAIT_S; ! $isDone(); usleep(100_000)) {
            if (microtime(true) > $until) {
                $work = 'php artisan queue:work --queue=default,sites';
                throw new RuntimeException("{$what} is not done after ".self::WAIT_S." s. It needs a worker: {$work}");
            }
        }
    }

    /** What people have written: a comment to answer, an advisory, and the mail to a newsletter reader. */
    private static function words(Zone $zone, User $educator): void
    {
        if ($zone->slug === self::WITH_COMMENT) {
            app(SaveObjection::class)->raise(
                $zone,
                (string) Str::uuid(),
                'parsnip',
                'Snow lay on the school garden until April 20 last year. Are the first days of this window not too early up here?',
                self::person(self::REVIEWER),
            );
        }
        if ($zone->slug === self::WITH_NEIGHBOUR) {
            app(PublishAdvisory::class)->publish(
                $zone,
                (string) Str::uuid(),
                null,
                'The nights stay cold this week. Keep row covers on seedlings until morning, and harden off tomatoes indoors for now.',
                [],
                Today::day(),
                Today::day()->plus(6),
                $educator,
            );
            $reading = Reading::named('en-f') ?? throw new RuntimeException('The calendars are not read in °F.');
            app(KeepLetterReader::class)->ask($zone, 'garden.club@fennick.example', $reading, ['radish', 'carrot']);
        }
    }

    /** @param  list<string>  $names  of zones */
    private static function boundaries(array $names): string
    {
        $all = json_decode((string) file_get_contents(__DIR__.'/boundaries.geojson'), true, 16, JSON_THROW_ON_ERROR);
        $all['features'] = array_values(
            array_filter($all['features'], static fn (array $f): bool => in_array($f['properties']['zone'], $names, true)),
        );

        return json_encode($all, JSON_THROW_ON_ERROR);
    }

    /** @return array<string, string> to each warning of the draft */
    private function answers(Zone $zone): array
    {
        $draft = app(DraftEdition::class);
        $windows = $draft->windows($zone);
        $warnings = $draft->warnings($zone, $windows, $draft->document($zone, $windows, '', ''));

        return array_fill_keys(array_column($warnings, 'key'), 'Looked at, and published all the same: this is the first calendar.');
    }

    /** A volunteer's two weeks with the thermometer. */
    private function measureSoil(Zone $zone): void
    {
        $volunteer = self::person(self::VOLUNTEER);
        [$probe, $spots, $keep] = [new SimulatedProbe(), new SaveSpot(), new KeepReading()];
        foreach (self::SPOTS as $name => $kind) {
            $spot = $spots->execute($zone, $name, Site::query()->where('name', $kind)->firstOrFail());
            foreach (self::MEASURED_AGO as $ago) {
                $day = Today::day()->plus(-$ago);
                $figures = array_map(
                    static fn (float $seconds): array => [$seconds, $probe->figure($spot, $day, $seconds) ?? 0.0],
                    array_map(floatval(...), range(0, 100, 10)),
                );
                $keep->keep($spot, $volunteer, (string) Str::uuid(), $day, 9.5, 0.05, $figures, null, true);
            }
        }
    }

    private function varieties(): void
    {
        foreach (self::VARIETIES as $slug => $varieties) {
            $crop = Crop::query()->where('slug', $slug)->firstOrFail();
            foreach ($varieties as [$name, $days, $basis, $tags]) {
                $crop
                    ->varieties()
                    ->create(['name' => $name, 'cells' => ['maturity_days' => $days, 'maturity_basis' => $basis], 'tags' => $tags]);
            }
        }
    }

    private function bringRecord(Zone $zone, SimulatedClimate $climate, User $educator): void
    {
        $first = Day::of(SimulatedStations::FIRST_YEAR, 1, 1);
        $last = Today::day()->plus(-1);
        $this->bring($zone, "{$zone->slug}-station.csv", (new SimulatedStation($climate))->file($first, $last), $educator);
        if ($zone->slug === self::WITH_NEIGHBOUR) {
            self::await("The computation of {$zone->name}", static fn (): bool => self::isComputed($zone));
            // A valley station 190 m lower saw the same weather, and has the days the first one lost.
            $text = (new SimulatedStation($climate))->neighbour($first, $last, Day::of(2004, 1, 1), 0.9);
            $this->bring($zone, 'packing-shed-station.csv', $text, $educator, [
                'name' => 'Packing Shed',
                'height_m' => $zone->height_m - 190,
            ]);
        }
    }

    /** @param  array{name?: string, height_m?: int}  $new */
    private function bring(Zone $zone, string $name, string $text, User $educator, array $new = []): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'station');
        file_put_contents($path, $text);
        try {
            app(KeepStationFile::class)->execute($zone, null, new UploadedFile($path, $name, 'text/csv', null, true), [], $educator, $new);
        } finally {
            unlink($path);
        }
    }

    /** @return list<DemoZone> */
    private function zones(): array
    {
        $basin = 'Kestrel Basin';
        $first = 'First calendar of this zone, from its own station record.';

        return [
            [
                $this->zone('Lakeshore', $basin, 46.8, -98.21, 410, 'America/Chicago', [
                    'Port Ilvane' => '70110',
                    'Quillen Landing' => '70114',
                ]),
                $first,
            ],
            [
                $this->zone('Basin Floor', $basin, 46.7, -98.06, 430, 'America/Chicago', [
                    'Saddlewick' => '70122',
                    'Dunmarrow Ferry' => '70125',
                ]),
                $first,
            ],
            [$this->zone('Orchard Bench', $basin, 46.9, -97.92, 620, 'America/Chicago', ['Fennick' => '70131']), $first],
            [$this->zone('High Meadow', $basin, 47.1, -97.7, 1180, 'America/Chicago', ['Upper Marl' => '70140']), $first],
            [
                $this->zone('Saltbush Flats', 'Saltbush partner district', 32.9, -109.4, 340, 'America/Phoenix', [
                    'Ochre Wells' => '81007',
                ]),
                $first,
            ],
            [
                $this->zone('Averrin Sound', 'Averrin partner district', -38.3, 143.2, 25, 'Australia/Melbourne', [
                    'Averrin' => '3901',
                    'Cray Point' => '3904',
                ]),
                $first,
            ],
        ];
    }

    /**
     * @param  array<string, string>  $settlements  ZIP code by name
     * @return array{name: string, district: string, latitude: float, longitude: float, height_m: int, time_zone: string, settlements: list<array{name: string, postcode: string}>}
     */
    private function zone(
        string $name,
        string $district,
        float $latitude,
        float $longitude,
        int $height,
        string $timeZone,
        array $settlements,
    ): array {
        $list = [];
        foreach ($settlements as $settlement => $postcode) {
            $list[] = ['name' => $settlement, 'postcode' => $postcode];
        }

        return [
            'name' => $name,
            'district' => $district,
            'latitude' => $latitude,
            'longitude' => $longitude,
            'height_m' => $height,
            'time_zone' => $timeZone,
            'settlements' => $list,
        ];
    }
}
