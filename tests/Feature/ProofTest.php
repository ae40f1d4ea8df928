<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Editions\Edition;
use App\Editions\Objection;
use App\Gardener\PublicSite;
use App\People\Role;
use App\Results\Result;
use App\Zones\Zone;
use Tests\TestCase;

/** An edition is read as a proof before it is published: what it changes and why, what is objected to, what is to be answered. */
class ProofTest extends TestCase
{
    protected ?array $book = ['radish', 'carrot', 'kale', 'garlic-hardneck'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneWithRecord();
    }

    /** @return array<string, mixed> */
    private function draft(): array
    {
        return $this->getJson('/api/zones/test-basin/draft')->assertOk()->json('data');
    }

    private function own(string $first, string $last): void
    {
        $choice = $this->getJson('/api/zones/test-basin/windows/radish')->json('data.choice.id');
        $this->postJson('/api/zones/test-basin/windows/radish/choices', [
            'school' => 'own',
            'reason' => 'Known here.',
            'replaces' => $choice,
            'windows' => [['route' => 'direct', 'first' => $first, 'last' => $last]],
        ])->assertCreated();
    }

    public function test_the_first_draft_is_held_against_none(): void
    {
        $draft = $this->draft();
        self::assertSame([1, 4, null, []], [$draft['number'], $draft['crops'], $draft['against'], $draft['changes']]);
        $this->publish()->assertStatus(202);
        self::assertArrayNotHasKey('changes', Edition::query()->firstOrFail()->open()->content);
        self::assertStringNotContainsString('What changed', (string) PublicSite::read('zones/test-basin'));
    }

    public function test_a_draft_says_what_moved_and_because_of_what_and_gardeners_read_it(): void
    {
        $this->zoneInPrint();
        $before = Edition::query()->firstOrFail()->open()->content['crops'];
        $this->own('04-05', '05-10');
        $this->patchJson('/api/crops/carrot', ['cells' => ['maturity_days' => '95'], 'note' => 'Slower here.', 'version' => 1])->assertOk();
        $draft = $this->draft();
        $changes = array_column($draft['changes'], null, 'crop');
        self::assertSame(1, $draft['against']);
        self::assertSame(
            [['own-dates'], 'moved', [['first' => '04-05', 'last' => '05-10', 'days' => 36]]],
            [$changes['radish']['why'], $changes['radish']['kind'], $changes['radish']['now']],
        );
        self::assertSame(['crop-numbers'], $changes['carrot']['why']);
        self::assertArrayNotHasKey('kale', $changes, 'what is the same is not told');
        $sizes = array_column($draft['changes'], 'size');
        $sorted = $sizes;
        rsort($sorted);
        self::assertSame($sorted, $sizes, 'the largest first');
        $this->publish('Own dates for radish.')->assertStatus(202);
        $page = (string) PublicSite::read('zones/test-basin');
        self::assertStringContainsString('What changed since edition 1', $page);
        self::assertStringContainsString(htmlspecialchars($this->said($changes['radish']['phrase']), ENT_NOQUOTES), $page);
        self::assertStringContainsString('Radish, sow outdoors: ', $this->said($changes['radish']['phrase']));
        self::assertSame(
            $before,
            Edition::query()->where('number', 1)->firstOrFail()->open()->content['crops'],
            'the first stays as it was',
        );
        self::assertSame([], $this->draft()['changes']);
    }

    public function test_each_warning_is_answered_before_it_is_published(): void
    {
        // A reading out of range is doubted.
        $this->own('01-05', '01-20');
        $warnings = array_column($this->draft()['warnings'], 'phrase', 'key');
        self::assertArrayHasKey('disagreement-radish', $warnings);
        $this->publish(more: ['answers' => []])
            ->assertUnprocessable()
            ->assertJsonPath('errors.answers.0', 'Explain each warning first: '.$this->said($warnings[array_key_first($warnings)]));
        $this->publish(more: ['answers' => array_fill_keys(array_keys($warnings), ' ')])->assertUnprocessable();
        self::assertSame(0, Edition::query()->count());
        $this->publish()->assertStatus(202);
        self::assertSame('Known.', \App\Editions\Publication::query()->firstOrFail()->answers[0]['answer'] ?? null);
    }

    public function test_a_short_record_and_open_doubts_are_warned_of(): void
    {
        $text = (string) file_get_contents(base_path('core/tests/fixtures/station-north.csv'));
        $text = implode(
            "\n",
            array_filter(explode("\n", $text), static fn (string $l): bool => str_starts_with($l, 'date') || $l >= '2006-01-01'),
        );
        $zone = Zone::factory()->create(['slug' => 'young', 'name' => 'Young']);
        $this->post(
            "/api/zones/{$zone->slug}/record-imports",
            ['file' => $this->textFile((string) preg_replace('/^2007-07-10,[^,]*/m', '2007-07-10,-31.0', $text))],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $keys = array_column($this->getJson('/api/zones/young/draft')->assertOk()->json('data.warnings'), 'key');
        self::assertContains('short-record', $keys);
        self::assertContains('doubts-1', $keys);
        $this->postJson('/api/zones/young/quality', [
            'date' => '2007-07-10',
            'element' => 'minimum',
            'accepted' => false,
            'note' => 'Read wrong.',
            'replaces' => null,
        ])->assertStatus(202);
        self::assertNotContains(
            'doubts-1',
            array_column($this->getJson('/api/zones/young/draft')->json('data.warnings'), 'key'),
            'decided on, it is no doubt',
        );
    }

    public function test_crops_that_turned_in_the_last_15_years_are_answered_for(): void
    {
        $draft = fn (): array => $this->getJson('/api/zones/test-basin/draft')->assertOk()->json('data.warnings');
        self::assertNotContains('turned', array_column($draft(), 'cause'));
        $judged = Result::query()->where('kind', 'track-record')->firstOrFail();
        $sheet = $judged->content();
        $row = ['turned' => 'worse', 'lately' => ['kept' => 7, 'years' => 15], 'before' => ['kept' => 14, 'years' => 14]];
        $sheet['crops'][0] = $row + $sheet['crops'][0];
        Result::query()->where('hash', $judged->hash)->update(['payload' => json_encode($sheet)]);
        $told = array_column($draft(), null, 'cause')['turned'];
        self::assertSame("turned-{$sheet['crops'][0]['crop']}-{$sheet['crops'][0]['route']}", $told['key']);
        self::assertStringContainsString(
            'came to harvest in 7 of the last 15 years, before in 14 of 14. Are all the years on record still the right ones?',
            $this->said($told['phrase']),
        );
    }

    public function test_an_objection_is_answered_by_an_educator_before_publishing_and_stays_with_the_edition(): void
    {
        $this->actingAs($this->person(Role::Volunteer));
        $sent = ['key' => 'an-objection', 'crop' => 'kale', 'text' => 'Pigeons have it by then.'];
        $id = $this->postJson('/api/zones/test-basin/objections', $sent)->assertCreated()->json('data.id');
        $this->postJson('/api/zones/test-basin/objections', $sent)->assertCreated()->assertJsonPath('data.id', $id);
        $this->postJson('/api/zones/test-basin/objections', ['key' => 'another-one', 'crop' => 'unicorn', 'text' => 'x'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.crop.0', 'The book has no such crop. Choose another one.');
        $this->postJson("/api/objections/{$id}/answer", ['answer' => 'No.'])->assertForbidden();
        $this->actingAs($this->person());
        $this->publish()
            ->assertUnprocessable()
            ->assertJsonPath('errors.objections.0', Objection::query()->firstOrFail()->author.' commented on kale. Answer that first.');
        $this->postJson("/api/objections/{$id}/answer", ['answer' => 'A net is advised.'])->assertOk();
        $this->postJson("/api/objections/{$id}/answer", ['answer' => 'Something else.'])
            ->assertOk()
            ->assertJsonPath('data.answer', 'A net is advised.');
        $this->publish()->assertStatus(202);
        self::assertSame([], $this->draft()['objections']);
        self::assertSame(Edition::query()->firstOrFail()->id, Objection::query()->firstOrFail()->edition_id);
    }

    public function test_what_cannot_be_published_has_no_proof_and_says_why(): void
    {
        Zone::factory()->create(['slug' => 'bare', 'name' => 'Bare']);
        $this->getJson('/api/zones/bare/draft')
            ->assertNotFound()
            ->assertJsonPath('message', 'There is nothing to publish yet. Upload a station file first.');
    }
}
