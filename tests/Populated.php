<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Support\Facades\DB;

/** A zone with a row of nearly everything that an address can name; the educator who made it is logged in. */
trait Populated
{
    private function populate(): void
    {
        $this->zoneWithRecord();
        $this->postJson('/api/crops/radish/varieties', ['name' => 'Harrow Red', 'cells' => [], 'tags' => []])->assertCreated();
        $this->postJson('/api/zones/test-basin/windows/radish/choices', [
            'school' => 'count-back',
            'reason' => 'x',
            'replaces' => null,
        ])->assertCreated();
        $this->publish()->assertStatus(202);
        $spot = $this->postJson('/api/zones/test-basin/soil-spots', ['name' => 'Bed 3', 'site' => DB::table('sites')->value('id')])
            ->assertCreated()
            ->json('data.spots.0.id');
        $this->postJson('/api/zones/test-basin/soil-readings', [
            'key' => 'before-the-attack',
            'spot' => $spot,
            'on' => '2012-04-12',
            'hour' => 9.5,
            'depth' => 0.05,
            'celsius' => 9.4,
        ])->assertCreated();
        $line = [
            'key' => 'before-the-attack',
            'act' => 'sown',
            'on' => '2012-04-12',
            'crop' => 'radish',
            'garden' => 'School',
            'bed' => 'Bed 3',
            'written_at' => 1,
        ];
        $this->postJson('/api/zones/test-basin/log-entries', ['sent_at' => 2, 'by' => 'desk', 'entries' => [$line]])->assertOk();
        $this->postJson('/api/zones/test-basin/trials', [
            'key' => 'before-the-attack',
            'crop' => 'radish',
            'route' => 'direct',
            'measured_in' => 'stems',
            'question' => 'x',
            'waves' => [['name' => 'x', 'on' => '2012-04-01']],
            'varieties' => [null],
            'repeats' => 1,
        ])->assertCreated();
        $this->postJson('/api/zones/test-basin/cues', ['plant' => 'Lilac', 'stage' => 'first leaf'])->assertCreated();
        $this->putJson('/api/zones/test-basin/plantings', [
            'add' => [
                [
                    'key' => 'before-the-attack',
                    'crop' => 'radish',
                    'route' => 'direct',
                    'bed' => DB::table('beds')->value('id'),
                    'on' => '2012-05-10',
                    'metres' => 2,
                ],
            ],
        ])->assertOk();
    }
}
