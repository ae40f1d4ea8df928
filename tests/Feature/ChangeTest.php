<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Crops\Crop;
use App\People\Change;
use App\Zones\Computation;
use App\Zones\Zone;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use LogicException;
use Tests\TestCase;

/** Whatever moves a date is on one trail, which nothing edits, and the computation it made necessary says which change caused it. */
final class ChangeTest extends TestCase
{
    protected ?array $book = ['radish', 'kale'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneWithRecord();
    }

    private function last(): Change
    {
        return Change::query()->latest('id')->firstOrFail();
    }

    private function cause(): ?int
    {
        return Computation::query()->latest('id')->firstOrFail()->caused_by;
    }

    public function test_what_moves_a_date_is_told_with_who_what_and_why_and_causes_its_computation(): void
    {
        $this->patchJson('/api/crops/radish', [
            'cells' => ['maturity_days' => '31'],
            'note' => 'Measured here.',
            'version' => 1,
        ])->assertOk();
        $change = $this->last();
        self::assertSame(
            ['edited', 'crops', null, 2, 'Measured here.'],
            [$change->act, $change->subject, $change->zone_id, $change->version, $change->why],
        );
        self::assertSame(
            [
                'maturity_days' => [
                    'was' => Crop::query()->where('slug', 'radish')->firstOrFail()->revisions[0]->cells['maturity_days'],
                    'is' => '31',
                ],
            ],
            $change->fields,
        );
        self::assertSame([auth()->id(), $change->id], [$change->user_id, $this->cause()]);

        $zone = Zone::query()->where('slug', 'test-basin')->firstOrFail();
        $this->putOnZone('method', ['standard' => 'bold', 'light' => 'none'])->assertStatus(202);
        $change = $this->last();
        self::assertSame(['edited', 'zones', $zone->id, $change->id], [$change->act, $change->subject, $change->zone_id, $this->cause()]);
        self::assertSame(['was' => 'reliable', 'is' => 'bold'], $change->fields['standard']);

        $this->postJson('/api/crops/kale/varieties', [
            'name' => 'Harrow',
            'cells' => ['maturity_days' => '50'],
            'tags' => [],
        ])->assertCreated();
        self::assertSame(
            ['added', 'varieties', 'Harrow', $this->last()->id],
            [$this->last()->act, $this->last()->subject, $this->last()->fields['name']['is'], $this->cause()],
        );
    }

    public function test_a_choice_and_its_undoing_are_two_changes(): void
    {
        $choice = $this->postJson('/api/zones/test-basin/windows/radish/choices', [
            'school' => 'count-back',
            'reason' => 'As we always did.',
            'replaces' => null,
        ])
            ->assertSuccessful()
            ->json('data.choice.id');
        $made = $this->last();
        self::assertSame(
            ['chosen', 'crop_choices', 'As we always did.', ['was' => null, 'is' => 'count-back']],
            [$made->act, $made->subject, $made->why, $made->fields['school']],
        );
        $this->deleteJson("/api/zones/test-basin/choices/{$choice}")->assertSuccessful();
        self::assertSame(['undone', ['was' => 'count-back', 'is' => null]], [$this->last()->act, $this->last()->fields['school']]);
        $before = Change::query()->count();
        $this->deleteJson("/api/zones/test-basin/choices/{$choice}");
        self::assertSame($before, Change::query()->count(), 'undone again, nothing was changed');
    }

    public function test_what_changes_nothing_is_no_change(): void
    {
        $before = Change::query()->count();
        $zone = Zone::query()->where('slug', 'test-basin')->firstOrFail();
        $this->putOnZone('method', ['standard' => $zone->standard, 'light' => $zone->light])->assertStatus(202);
        self::assertSame($before, Change::query()->count());
        self::assertNull($this->cause());
    }

    public function test_a_change_is_edited_neither_by_the_application_nor_in_the_database(): void
    {
        $this->patchJson('/api/crops/radish', [
            'cells' => ['maturity_days' => '31'],
            'note' => 'Measured here.',
            'version' => 1,
        ])->assertOk();
        $change = $this->last();
        foreach ([static fn () => $change->update(['why' => 'I never said that.']), static fn () => $change->delete()] as $edit) {
            try {
                $edit();
                self::fail('it was edited');
            } catch (LogicException) {
            }
        }
        $this->expectException(QueryException::class);
        $this->expectExceptionMessage('What was changed is not changed again.');
        DB::table('changes')
            ->where('id', $change->id)
            ->update(['why' => 'I never said that.']);
    }
}
