<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Zones\Settlement;
use App\Zones\Zone;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class ZoneTest extends TestCase
{
    public function test_a_zone_is_created_with_its_settlements_and_its_hemisphere_derived(): void
    {
        $this->actingAs($this->person());
        $this->postJson('/api/zones', $this->zoneValues('Averrin Sound', -38.3))
            ->assertCreated()
            ->assertJsonPath('data.slug', 'averrin-sound')
            ->assertJsonPath('data.hemisphere', 'south')
            ->assertJsonPath('data.settlements.0', ['name' => 'Fennick', 'postcode' => null])
            ->assertJsonPath('data.record', null)
            ->assertJsonPath('data.edition', null);
        $this->postJson('/api/zones', ['far_off' => true] + $this->zoneValues('Équateur 0', 0))
            ->assertCreated()
            ->assertJsonPath('data.slug', 'equateur-0')
            ->assertJsonPath('data.hemisphere', 'north');
    }

    public function test_editing_keeps_the_address_and_replaces_the_settlements(): void
    {
        $this->actingAs($this->person());
        $this->postJson('/api/zones', $this->zoneValues())->assertCreated();
        $values = $this->zoneValues('New Name');
        $values['settlements'] = [['name' => 'Saddlewick', 'postcode' => '70122']];
        $this->editZone($values)->assertOk()->assertJsonPath('data.name', 'New Name');
        self::assertSame(['Saddlewick'], Settlement::query()->pluck('name')->all());
        $this->editZone($values)->assertOk();
        $this->getJson('/api/zones/nowhere')->assertNotFound();
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function broken(): iterable
    {
        yield 'latitude 95' => [['latitude' => 95], 'latitude', 'A latitude is between −90 and 90 degrees; 95 is not.'];
        yield 'latitude in words' => [['latitude' => 'north'], 'latitude', 'must be a number'];
        yield 'longitude' => [['longitude' => -181], 'longitude', 'A longitude is between −180 and 180 degrees; -181 is not.'];
        yield 'height' => [['height_m' => 9000], 'height_m', '9000 is not.'];
        yield 'no name' => [['name' => ''], 'name', 'required'];
        yield 'no letters' => [['name' => '···'], 'name', 'A name needs at least one letter.'];
        yield 'long name' => [['name' => str_repeat('a', 81)], 'name', '80'];
        yield 'nameless settlement' => [
            ['settlements' => [['name' => 'Fennick'], ['name' => '', 'postcode' => '1']]],
            'settlements.1.name',
            'Town 2 needs a name',
        ];
        yield 'long postcode' => [
            ['settlements' => [['name' => 'Fennick', 'postcode' => str_repeat('1', 13)]]],
            'settlements.0.postcode',
            'longer than 12',
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('broken')]
    public function test_what_cannot_be_a_zone_is_refused_in_words_and_nothing_is_saved(array $change, string $field, string $words): void
    {
        $this->actingAs($this->person());
        $errors = $this->postJson('/api/zones', array_merge($this->zoneValues(), $change))->assertUnprocessable()->json('errors');
        self::assertStringContainsString($words, $errors[$field][0]);
        self::assertSame(0, Zone::query()->count());
    }

    public function test_zones_that_have_been_computed_are_compared(): void
    {
        $this->actingAs($this->person());
        $this->getJson('/api/zone-comparison')->assertOk()->assertJsonPath('data.rows', []);
        foreach (['Twin One' => 'north', 'Twin Two' => 'north', 'Not Yet' => null] as $name => $station) {
            $slug = $this->postJson('/api/zones', $this->zoneValues($name))->json('data.slug');
            if ($station !== null) {
                $this->post(
                    "/api/zones/{$slug}/record-imports",
                    ['file' => $this->stationFile($station)],
                    ['Accept' => 'application/json'],
                )->assertStatus(202);
            }
        }
        $rows = $this->getJson('/api/zone-comparison')->assertOk()->json('data.rows');
        self::assertSame(
            [['twin-one', ['twin-two']], ['twin-two', ['twin-one']]],
            array_map(static fn (array $r): array => [$r['zone'], $r['like']], $rows),
        );
    }

    public function test_two_zones_cannot_share_a_name(): void
    {
        $this->actingAs($this->person());
        $this->postJson('/api/zones', $this->zoneValues())->assertCreated();
        $this->postJson('/api/zones', $this->zoneValues())
            ->assertUnprocessable()
            ->assertJsonPath('errors.name.0', 'There already is a zone with this name.');
    }
}
