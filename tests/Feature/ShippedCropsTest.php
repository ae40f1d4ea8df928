<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Crops\Crop;
use App\Crops\ShippedCrop;
use App\People\Role;
use Tests\TestCase;

/** What an update of the crop table that ships offers to an existing book. */
class ShippedCropsTest extends TestCase
{
    protected ?array $book = null;

    /** @param  array<string, string>  $cells  as an older table, or an educator, had them */
    private function older(string $slug, array $cells): void
    {
        $crop = Crop::query()->where('slug', $slug)->firstOrFail();
        $crop->update(['cells' => $cells + $crop->cells]);
        ShippedCrop::query()
            ->where('slug', $slug)
            ->update(['cells' => json_encode($crop->cells)]);
    }

    public function test_a_new_book_is_offered_nothing_and_neither_is_one_its_educator_changed(): void
    {
        $this->actingAs($this->person());
        $this->getJson('/api/shipped-crops')->assertOk()->assertJsonPath('data', []);
        $crop = Crop::query()->where('slug', 'radish')->firstOrFail();
        $crop->update(['cells' => ['maturity_days' => '31'] + $crop->cells]);
        $this->getJson('/api/shipped-crops')->assertJsonPath('data', []);
    }

    public function test_what_the_table_has_come_to_say_is_taken_with_a_word_in_the_history(): void
    {
        $this->actingAs($this->person());
        $this->older('spinach', ['bolt_day_hours' => '', 'maturity_days' => '50']);
        $offer = $this->getJson('/api/shipped-crops')->assertJsonPath('data.0.slug', 'spinach')->json('data.0');
        self::assertSame(['maturity_days', 'bolt_day_hours'], array_column($offer['cells'], 'column'));
        self::assertSame(['50', ''], array_column($offer['cells'], 'mine'));
        $this->postJson('/api/shipped-crops/spinach', ['take' => true, 'version' => $offer['version'] + 1])->assertConflict();
        $this->postJson('/api/shipped-crops/spinach', ['take' => true])->assertJsonValidationErrors('version');
        $this->postJson('/api/shipped-crops/spinach', ['take' => true, 'version' => $offer['version']])
            ->assertOk()
            ->assertJsonPath('data', []);
        $crop = $this->getJson('/api/crops/spinach')->json('data');
        self::assertSame($offer['cells'][1]['shipped'], $crop['cells']['bolt_day_hours']);
        self::assertSame('Accepted from the crop table that ships.', $crop['revisions'][0]['note']);
        $this->postJson('/api/shipped-crops/spinach', ['take' => false])->assertNotFound();
    }

    public function test_what_is_left_stays_as_it_is_with_a_word_in_the_history_and_is_not_offered_again(): void
    {
        $this->actingAs($this->person());
        $this->older('spinach', ['maturity_days' => '50']);
        $shipped = $this->getJson('/api/shipped-crops')->json('data.0.cells.0.shipped');
        $this->postJson('/api/shipped-crops/spinach', ['take' => false])
            ->assertOk()
            ->assertJsonPath('data', []);
        $crop = $this->getJson('/api/crops/spinach')->json('data');
        self::assertSame('50', $crop['cells']['maturity_days']);
        self::assertSame("Declined. The crop table that ships now says: maturity_days {$shipped}.", $crop['revisions'][0]['note']);
        // Until the table says something else again.
        ShippedCrop::query()
            ->where('slug', 'spinach')
            ->update(['cells' => json_encode(['maturity_days' => '1'])]);
        $this->getJson('/api/shipped-crops')->assertJsonPath('data.0.slug', 'spinach');
    }

    public function test_a_crop_the_book_does_not_have_can_be_added(): void
    {
        $this->actingAs($this->person());
        Crop::query()->where('slug', 'cover-vetch')->delete();
        ShippedCrop::query()->where('slug', 'cover-vetch')->delete();
        $this->getJson('/api/shipped-crops')->assertJsonPath('data.0.slug', 'cover-vetch')->assertJsonPath('data.0.version', null);
        $this->postJson('/api/shipped-crops/cover-vetch', ['take' => true])
            ->assertOk()
            ->assertJsonPath('data', []);
        $this->getJson('/api/crops/cover-vetch')->assertOk();
    }

    public function test_only_the_educator_settles_it(): void
    {
        $this->older('spinach', ['maturity_days' => '50']);
        $this->actingAs($this->person(Role::Volunteer));
        $this->getJson('/api/shipped-crops')->assertOk();
        $this->postJson('/api/shipped-crops/spinach', ['take' => false])->assertForbidden();
        self::assertSame('50', Crop::query()->where('slug', 'spinach')->firstOrFail()->cells['maturity_days']);
    }
}
