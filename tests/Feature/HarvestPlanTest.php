<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Crops\Crop;
use App\People\Change;
use App\People\Role;
use App\Season\HarvestPlan;
use App\Zones\Zone;
use Tests\TestCase;

/** What a zone's gardens should produce is kept with the zone, for everybody who works there. */
class HarvestPlanTest extends TestCase
{
    private const AT = '/api/zones/test-basin/harvest-plan';

    protected function setUp(): void
    {
        parent::setUp();
        Zone::factory()->create();
    }

    public function test_it_is_kept_with_the_zone_and_its_changes_are_on_record(): void
    {
        $this->actingAs($this->person());
        $this->getJson(self::AT)->assertOk()->assertExactJson(['data' => ['needs' => [], 'version' => 1]]);
        self::assertSame(0, HarvestPlan::query()->count(), 'a look keeps nothing');
        $needs = [['crop' => 'radish', 'amount' => 2.5], ['crop' => 'zinnia', 'amount' => 30]];
        $this->putJson(self::AT, ['needs' => $needs, 'version' => 1])
            ->assertOk()
            ->assertExactJson(['data' => ['needs' => $needs, 'version' => 2]]);
        $this->putJson(self::AT, ['needs' => [$needs[1]], 'version' => 2])->assertOk()->assertJsonPath('data.version', 3);
        $this->actingAs($this->person());
        $this->getJson(self::AT)->assertOk()->assertExactJson(['data' => ['needs' => [$needs[1]], 'version' => 3]]);
        $change = Change::query()->where('subject', 'harvest_plans')->latest('id')->firstOrFail();
        self::assertSame(['was' => ['radish 2.5', 'zinnia 30'], 'is' => ['zinnia 30']], $change->fields['needs']);
        self::assertSame(Zone::query()->sole()->id, $change->zone_id);
    }

    public function test_what_somebody_else_said_meanwhile_is_not_overwritten(): void
    {
        $this->actingAs($this->person());
        $this->putJson(self::AT, ['needs' => [['crop' => 'radish', 'amount' => 2]], 'version' => 1])->assertOk();
        $this->putJson(self::AT, ['needs' => [], 'version' => 1])->assertConflict()->assertJsonPath('changed.0.field', 'needs');
        self::assertSame([['crop' => 'radish', 'amount' => 2]], HarvestPlan::query()->sole()->needs);
    }

    public function test_wrong_needs_are_refused_by_name(): void
    {
        $this->actingAs($this->person());
        $put = fn (array $needs) => $this->putJson(self::AT, ['needs' => $needs, 'version' => 1])->assertUnprocessable()->json('errors');
        self::assertSame(
            ['needs.0.crop' => ['The book has no such crop. Choose another one.']],
            $put([['crop' => 'dragonfruit', 'amount' => 1]]),
        );
        foreach ([0, -1, 'much', 1e6] as $amount) {
            self::assertArrayHasKey('needs.0.amount', $put([['crop' => 'radish', 'amount' => $amount]]), (string) $amount);
        }
        $twice = $put([['crop' => 'radish', 'amount' => 1], ['crop' => 'radish', 'amount' => 2]]);
        self::assertSame('A crop is listed twice. Enter how much you need of it once.', $twice['needs.0.crop'][0]);
        self::assertArrayHasKey('needs', $put(array_fill(0, 61, ['crop' => 'radish', 'amount' => 1])));
        $this->putJson(self::AT, ['needs' => []])->assertUnprocessable();
        self::assertSame(0, HarvestPlan::query()->count());
    }

    public function test_a_crop_that_left_the_book_is_left_out_and_nobody_without_a_role_reads_it(): void
    {
        $this->getJson(self::AT)->assertUnauthorized();
        $this->actingAs($this->person(Role::Volunteer));
        $this->putJson(self::AT, [
            'needs' => [['crop' => 'radish', 'amount' => 2], ['crop' => 'kale', 'amount' => 1]],
            'version' => 1,
        ])->assertOk();
        Crop::query()->where('slug', 'radish')->update(['slug' => 'radish-of-old']);
        $this->getJson(self::AT)->assertOk()->assertJsonPath('data.needs', [['crop' => 'kale', 'amount' => 1]]);
    }
}
