<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Office\Office;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;

/**
 * A zone without a record, for tests that do not care how it came to be.
 *
 * @extends Factory<Zone>
 */
final class ZoneFactory extends Factory
{
    protected $model = Zone::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return $this->called('Test Basin') + [
            'district' => 'Kestrel Basin',
            'latitude' => 46.8,
            'longitude' => -98.2,
            'height_m' => 410,
            'office_id' => Office::query()->orderBy('id')->value('id'),
        ];
    }

    public function configure(): self
    {
        return $this->afterCreating(
            static fn (Zone $zone) => $zone
                ->settlements()
                ->createMany([['name' => 'Port Ilvane', 'postcode' => '70110'], ['name' => 'Fennick', 'postcode' => null]]),
        );
    }

    public function named(string $name): self
    {
        return $this->state($this->called($name));
    }

    /** @return array{name: string, slug: string} */
    private function called(string $name): array
    {
        return ['name' => $name, 'slug' => Str::slug($name)];
    }
}
