<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\User;
use App\Zones\Computation;
use Database\Seeders\DatabaseSeeder;
use Tests\TestCase;

final class UpdateTest extends TestCase
{
    public function test_zones_whose_results_an_update_put_aside_are_computed_anew_when_it_starts(): void
    {
        $this->zoneWithRecord();
        Computation::query()->update(['ruler_hash' => null]);
        $this->getJson('/api/zones/test-basin/windows')->assertNotFound();
        $this->getJson('/api/zone-comparison')->assertOk()->assertJsonPath('data.rows', []);

        $this->seed(DatabaseSeeder::class);
        $this->getJson('/api/zones/test-basin/windows')->assertOk();
        self::assertSame([2, 1], [Computation::query()->count(), User::query()->count()]);
        $this->seed(DatabaseSeeder::class);
        self::assertSame(2, Computation::query()->count(), 'what is up to date is left alone');
    }
}
