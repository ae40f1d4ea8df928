<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\Change;
use App\People\ChangeChain;
use App\People\ChangeSeal;
use App\People\Role;
use App\People\User;
use App\Stations\SaveDevice;
use App\Stations\Station;
use App\Zones\Zone;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Every change that affects a date or a right is on record, can be traced, and cannot be altered unnoticed. */
final class TrailTest extends TestCase
{
    private User $educator;

    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneWithRecord();
        $this->educator = User::query()->firstOrFail();
    }

    /** @return list<array<string, mixed>> */
    private function changes(string $query = ''): array
    {
        return $this->getJson("/api/changes{$query}")->assertOk()->json('data.changes');
    }

    private function chooseCountingBack(string $crop): void
    {
        $this->postJson("/api/zones/test-basin/windows/{$crop}/choices", [
            'school' => 'count-back',
            'reason' => "For {$crop}.",
            'replaces' => null,
        ])->assertCreated();
    }

    public function test_a_date_leads_to_every_change_behind_it_and_to_no_other(): void
    {
        $this->chooseCountingBack('radish');
        $this->chooseCountingBack('kale');
        $this->postJson('/api/crops/radish/varieties', ['name' => 'Harrow Red', 'cells' => [], 'tags' => []])->assertCreated();
        $other = Zone::factory()->named('Elsewhere')->create();
        $other->editedAt(1, $this->educator, static fn (Zone $z) => $z->update(['district' => 'Far']));
        $this->postJson('/api/zones/test-basin/beds', [
            'garden' => 'School',
            'name' => 'Bed 9',
            'site' => DB::table('sites')->value('id'),
            'length_m' => 3,
            'width_m' => 1,
        ]);
        $behind = $this->changes('?zone=test-basin&crop=radish');
        self::assertSame('varieties', $behind[0]['subject']);
        self::assertSame('Harrow Red', $behind[0]['about']);
        self::assertSame(['crop_choices', 'radish', 'chosen', 'For radish.', $this->educator->name], [
            $behind[1]['subject'],
            $behind[1]['crop'],
            $behind[1]['act'],
            $behind[1]['why'],
            $behind[1]['by'],
        ]);
        self::assertContains(['field' => 'school', 'was' => null, 'is' => 'count-back'], $behind[1]['fields']);
        self::assertContains('stations', array_column($behind, 'subject'), 'the file that the record came from');
        self::assertNotContains('kale', array_column($behind, 'crop'));
        self::assertNotContains('elsewhere', array_column($behind, 'zone'));
        self::assertNotContains('beds', array_column($behind, 'subject'));
        self::assertSame(['kale'], array_values(array_unique(array_column($this->changes('?crop=kale'), 'crop'))));
        $this->getJson('/api/changes?zone=nowhere')
            ->assertUnprocessable()
            ->assertJsonPath('errors.zone.0', 'There is no such zone. Choose another one.');
    }

    public function test_changes_are_found_by_person_and_time_page_by_page(): void
    {
        $other = $this->person(Role::Educator);
        $this->actingAs($other)->chooseCountingBack('radish');
        self::assertSame([$other->name], array_values(array_unique(array_column($this->changes("?person={$other->id}"), 'by'))));
        self::assertSame([], $this->changes('?from=2031-01-01'));
        self::assertSame([], $this->changes('?until=2001-01-01'));
        $day = Change::query()->latest('id')->firstOrFail()->created_at->format('Y-m-d');
        self::assertNotSame([], $this->changes("?from={$day}&until={$day}"));
        for ($i = 0; $i < 60; $i++) {
            Change::record('edited', $this->educator, $this->educator, ['name' => (string) $i], ['name' => (string) ($i + 1)]);
        }
        $this->actingAs($this->person(Role::Administrator));
        $first = $this->getJson('/api/changes')->assertOk()->json('data');
        self::assertSame([50, true], [count($first['changes']), $first['more']]);
        $last = $first['changes'][49]['id'];
        $next = $this->changes("?before={$last}");
        self::assertSame($last - 1, $next[0]['id']);
    }

    public function test_what_is_changed_of_people_is_for_administrators(): void
    {
        Change::record('deactivated', $this->educator, null);
        self::assertNotContains('users', array_column($this->changes(), 'subject'));
        $csv = $this->get('/desk-files/changes.csv')->assertOk()->streamedContent();
        self::assertStringNotContainsString('deactivated', $csv);
        $this->actingAs($this->person(Role::Administrator));
        self::assertContains('users', array_column($this->changes(), 'subject'));
        self::assertStringContainsString('deactivated', $this->get('/desk-files/changes.csv')->assertOk()->streamedContent());
    }

    public function test_editions_advisories_devices_and_zones_are_on_record(): void
    {
        $this->publish('For spring.')->assertStatus(202);
        $this->postJson('/api/zones/test-basin/editions/1/withdrawal', ['reason' => 'Wrong station.'])->assertOk();
        [$device] = app(SaveDevice::class)->add(Station::query()->firstOrFail(), 'Mast', $this->educator);
        $this->deleteJson("/api/station-devices/{$device->id}")->assertOk();
        $this->postJson('/api/zones', $this->zoneValues('Other'))->assertCreated();
        $sent = ['key' => 'an-advisory-1', 'text' => 'Cover tender plants.', 'ground' => null, 'until' => '2026-05-14'];
        $advisory = $this->postJson('/api/zones/test-basin/advisories', $sent)->assertCreated()->json('data.id');
        $this->postJson('/api/zones/test-basin/advisories', $sent)->assertCreated();
        foreach (range(1, 2) as $twice) {
            $this->postJson("/api/advisories/{$advisory}/withdrawal", ['reason' => 'It rained.'])->assertOk();
        }
        $told = array_map(
            static fn (array $c): string => implode(' ', array_filter([$c['subject'], $c['act'], $c['about'], $c['why']])),
            array_reverse(array_slice($this->changes(), 0, 7)),
        );
        self::assertSame(
            [
                'editions published 1 For spring.',
                'editions withdrawn 1 Wrong station.',
                'station_devices connected Mast',
                'station_devices disconnected Mast',
                'zones added Other',
                'advisories published',
                'advisories withdrawn It rained.',
            ],
            $told,
        );
        self::assertSame('test-basin', $this->changes()[3]['zone'], 'a device is of the zone of its station');
    }

    public function test_the_chain_notices_what_was_altered_and_what_is_gone(): void
    {
        $chain = app(ChangeChain::class);
        $this->chooseCountingBack('radish');
        $this->chooseCountingBack('kale');
        $this->chooseCountingBack('carrot');
        $made = Change::query()->count();
        self::assertSame($made, $chain->seal());
        self::assertSame([0, $made, []], [$chain->seal(), $chain->length(), $chain->faults()]);
        self::assertSame(0, Artisan::call('anthesis:verify'));
        [$middle, $last] = Change::query()->orderByDesc('id')->limit(2)->get()->reverse()->values()->all();
        $row = (array) DB::table('changes')->find($middle->id);
        $put = static function (array $row): void {
            DB::table('changes')->where('id', $row['id'])->delete();
            DB::table('changes')->insert($row);
        };
        $put(['why' => 'Nobody said so.'] + $row);
        $altered = "Change {$middle->id} was altered, or one before it was removed from the chain.";
        self::assertSame([$altered], $chain->faults());
        self::assertSame(1, Artisan::call('anthesis:verify'));
        self::assertStringContainsString($altered, Artisan::output());
        $put(['person' => null] + $row);
        self::assertSame([$altered], $chain->faults(), 'who did it is sealed too');
        $put($row);
        self::assertSame([], $chain->faults());
        ChangeSeal::query()->where('change_id', $middle->id)->delete();
        self::assertSame(
            ["Change {$last->id} was altered, or one before it was removed from the chain."],
            $chain->faults(),
            'a link taken out of the chain is noticed by the one after it',
        );
        DB::table('changes')->where('id', $last->id)->delete();
        self::assertSame(["Change {$last->id} is gone."], $chain->faults());
    }

    public function test_a_person_who_was_removed_leaves_the_chain_whole(): void
    {
        $leaving = $this->person(Role::Educator);
        $this->actingAs($leaving)->chooseCountingBack('radish');
        $chain = app(ChangeChain::class);
        $chain->seal();
        $this->actingAs($this->person(Role::Administrator))
            ->deleteJson("/api/people/{$leaving->id}", ['keep_name' => false])
            ->assertNoContent();
        self::assertSame([], $chain->faults());
        $change = Change::query()->where('crop', 'radish')->latest('id')->firstOrFail();
        self::assertSame([null, $leaving->id, null], [$change->user_id, $change->person, $change->by()]);
    }
}
