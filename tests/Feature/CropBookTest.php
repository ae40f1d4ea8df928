<?php

declare(strict_types=1);

namespace Tests\Feature;

use Anthesis\Tables\CropCsv;
use Anthesis\Tests\Fixtures;
use App\Crops\Crop;
use App\Crops\CropRevision;
use App\Crops\Variety;
use App\People\Role;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class CropBookTest extends TestCase
{
    protected ?array $book = null;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->person());
    }

    public function test_the_book_starts_with_the_crops_of_the_table_in_their_order(): void
    {
        $crops = $this->getJson('/api/crops')->assertOk()->json('data');
        self::assertSame(array_keys(CropCsv::standardRows()), array_column($crops, 'slug'));
        self::assertEquals(Fixtures::crops()->crops, Crop::book());
    }

    public function test_a_change_is_kept_with_author_and_reason_and_can_be_taken_back(): void
    {
        $this->patchJson('/api/crops/carrot', [
            'cells' => ['maturity_days' => '80', 'notes' => 'Thin early.'],
            'note' => 'Three years of trials.',
            'version' => 1,
        ])->assertOk();
        $crop = $this->getJson('/api/crops/carrot')->assertOk()->json('data');
        self::assertSame('80', $crop['cells']['maturity_days']);
        self::assertSame(['Three years of trials.', 'Educator'], [$crop['revisions'][0]['note'], $crop['revisions'][0]['by']]);
        self::assertContains(
            ['column' => 'maturity_days', 'before' => CropCsv::standardRows()['carrot']['maturity_days'], 'after' => '80'],
            $crop['revisions'][0]['changed'],
        );
        $this->postJson("/api/crops/carrot/revisions/{$crop['revisions'][0]['id']}", ['version' => 2])->assertOk();
        self::assertSame(CropCsv::standardRows()['carrot'], Crop::query()->where('slug', 'carrot')->firstOrFail()->cells);
        self::assertSame(2, CropRevision::query()->count(), 'taking back is a change too');
    }

    public function test_numbers_that_cannot_be_are_refused_at_their_column(): void
    {
        $this->patchJson('/api/crops/carrot', ['cells' => ['base_c' => '90'], 'note' => 'x', 'version' => 1])
            ->assertUnprocessable()
            ->assertJsonPath('errors', ['cells.base_c' => ['“90” is not a number from −5 to 30.']]);
        $this->patchJson('/api/crops/carrot', ['cells' => ['opt_low_c' => '40'], 'note' => 'x', 'version' => 1])
            ->assertUnprocessable()
            ->assertJsonPath('errors', [
                'cells.opt_low_c' => ['Growth temperatures must rise: base, lower optimum, upper optimum, ceiling.'],
            ]);
        $this->patchJson('/api/crops/carrot', ['cells' => ['maturity_days' => '80']])
            ->assertUnprocessable()
            ->assertJsonPath('errors.note.0', 'Explain in a few words why, and where the number comes from.');
        $this->patchJson('/api/crops/carrot', ['cells' => ['slug' => 'parrot'], 'note' => 'x', 'version' => 1])->assertUnprocessable();
        $this->actingAs($this->person(Role::Volunteer));
        $this->patchJson('/api/crops/carrot', ['cells' => ['maturity_days' => '80'], 'note' => 'x', 'version' => 1])->assertForbidden();
        self::assertSame(0, CropRevision::query()->count());
    }

    public function test_a_trial_shows_what_a_number_would_do_and_saves_nothing(): void
    {
        Zone::factory()->create();
        $this->postJson('/api/crops/radish/trials', ['zone' => 'test-basin', 'cells' => ['heat_c' => '26']])->assertUnprocessable();
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile()],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $trial = $this->postJson('/api/crops/radish/trials', ['zone' => 'test-basin', 'cells' => ['heat_c' => '26']])
            ->assertOk()
            ->json('data');
        self::assertGreaterThan(
            array_sum($trial['before'][0]['ribbon']['outcomes']['heat']),
            array_sum($trial['after'][0]['ribbon']['outcomes']['heat']),
        );
        self::assertSame(CropCsv::standardRows()['radish'], Crop::query()->where('slug', 'radish')->firstOrFail()->cells);
    }

    public function test_the_book_goes_out_as_csv_and_comes_in_again(): void
    {
        $csv = (string) $this->get('/desk-files/crops.csv')->assertOk()->streamedContent();
        $upload = fn (string $text) => $this->post(
            '/api/crops',
            ['file' => $this->textFile($text, 'crops.csv')],
            ['Accept' => 'application/json'],
        );
        self::assertSame(['new' => 0, 'changed' => 0, 'unchanged' => 113], $upload($csv)->assertOk()->json('data'));
        $changed = str_replace(['radish,Radish,', 'leek,Leek,'], ['radish,Small radish,', 'tower-leek,Tower leek,'], $csv);
        self::assertSame(['new' => 1, 'changed' => 1, 'unchanged' => 111], $upload($changed)->assertOk()->json('data'));
        self::assertSame(114, Crop::query()->count(), 'a crop the file does not name stays');
        $upload(str_replace('radish,Small radish,', 'radish,,', $changed))
            ->assertUnprocessable()
            ->assertJsonPath('errors.file.0', 'Line 2, column “name”: this must not be blank.');
        self::assertSame('Small radish', Crop::query()->where('slug', 'radish')->firstOrFail()->cells['name']);
    }

    public function test_varieties_have_days_of_their_own_and_what_these_count_from(): void
    {
        $values = [
            'name' => 'Basin Long',
            'cells' => ['maturity_days' => '95', 'maturity_basis' => 'emergence', 'heat_c' => ''],
            'tags' => ['storage'],
        ];
        $variety = $this->postJson('/api/crops/carrot/varieties', $values)->assertCreated()->json('data.varieties.0');
        self::assertSame(['maturity_days' => '95', 'maturity_basis' => 'emergence'], $variety['cells']);
        $crop = Crop::query()->where('slug', 'carrot')->firstOrFail();
        $core = Variety::query()->firstOrFail()->toCore($crop);
        self::assertSame(
            [95.0, 'emergence', $crop->toCore()->heat->maximumC],
            [$core->growth->maturityDays, $core->growth->maturityBasis->value, $core->heat->maximumC],
        );
        $this->postJson('/api/crops/carrot/varieties', $values)
            ->assertUnprocessable()
            ->assertJsonPath('errors.name.0', 'There already is a variety with that name.');
        $this->putJson("/api/crops/carrot/varieties/{$variety['id']}", [
            'name' => 'Basin Long',
            'cells' => ['maturity_days' => 'long'],
            'tags' => [],
            'version' => 1,
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors', ['cells.maturity_days' => ['“long” is not a number from 1 to 400.']]);
        $this->deleteJson("/api/crops/radish/varieties/{$variety['id']}")->assertNotFound();
        $this->deleteJson("/api/crops/carrot/varieties/{$variety['id']}")
            ->assertOk()
            ->assertJsonPath('data.varieties', []);
    }

    public function test_a_row_kept_before_there_was_a_column_is_whole_by_its_default(): void
    {
        $kept = CropCsv::standardRows()['carrot'];
        DB::table('crops')
            ->where('slug', 'carrot')
            ->update(['cells' => json_encode(array_diff_key($kept, ['notes' => true, 'succession_days' => true]))]);
        $cells = $this->getJson('/api/crops/carrot')->assertOk()->json('data.cells');
        self::assertSame(['', ''], [$cells['notes'], $cells['succession_days']]);
        self::assertSame(array_keys($kept), array_keys($cells));
    }
}
