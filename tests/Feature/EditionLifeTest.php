<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Editions\Edition;
use App\Gardener\PublicSite;
use App\Office\SaveOffice;
use App\People\Role;
use App\People\User;
use LogicException;
use Tests\TestCase;

/** The life of an edition: it is signed, waits for its date, and is withdrawn with a notice. */
final class EditionLifeTest extends TestCase
{
    protected ?array $book = ['radish', 'garlic-hardneck'];

    private User $drafter;

    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneWithRecord();
        $this->drafter = User::query()->firstOrFail();
    }

    private function askForTwoSignatures(): void
    {
        app(SaveOffice::class)->execute(['name' => 'Office', 'second_signature' => true], 1, $this->drafter);
    }

    public function test_where_the_office_asks_for_it_a_second_educator_signs_before_an_edition_is_in_force(): void
    {
        $this->askForTwoSignatures();
        $this->publish()->assertStatus(202)->assertJsonPath('data.state', 'waiting');
        self::assertNull(PublicSite::read('zones/test-basin'));
        $this->getJson('/api/zones/test-basin/editions')
            ->assertJsonPath('data.0.waits_for.signature', true)
            ->assertJsonPath('data.0.in_force', false);
        $this->publish('Another.')
            ->assertUnprocessable()
            ->assertJsonValidationErrors(['zone' => 'Edition 1 is waiting for its date or its second signature.']);
        $this->postJson('/api/zones/test-basin/editions/1/signature')
            ->assertUnprocessable()
            ->assertJsonValidationErrors(['signature' => 'You drafted this edition']);
        $this->actingAs($this->person(Role::Volunteer))->postJson('/api/zones/test-basin/editions/1/signature')->assertForbidden();
        // Somebody else with the same name is somebody else.
        $other = User::factory()
            ->as(Role::Educator)
            ->create(['name' => $this->drafter->name]);
        $this->actingAs($other)
            ->postJson('/api/zones/test-basin/editions/1/signature')
            ->assertOk()
            ->assertJsonPath('data.signed_by', $this->drafter->name)
            ->assertJsonPath('data.in_force', true);
        self::assertNotNull(PublicSite::read('zones/test-basin'));
        $this->postJson('/api/zones/test-basin/editions/7/signature')->assertNotFound();
    }

    public function test_who_drafts_an_edition_cannot_sign_it_under_another_name_or_do_away_with_the_signature(): void
    {
        $this->askForTwoSignatures();
        $this->publish()->assertStatus(202);
        $this->drafter->forceFill(['name' => 'Married Meanwhile'])->save();
        $this->actingAs($this->drafter)
            ->postJson('/api/zones/test-basin/editions/1/signature')
            ->assertUnprocessable()
            ->assertJsonValidationErrors(['signature' => 'You drafted this edition']);
        $office = $this->getJson('/api/office')->json('data');
        $off = ['second_signature' => false] + array_diff_key($office, ['signature_changed' => 1]);
        $this->putJson('/api/office', $off)
            ->assertUnprocessable()
            ->assertJsonPath('errors.second_signature.0', 'Only an administrator changes whether editions need a second signature.');
        $this->putJson('/api/office', ['phone' => '555 0140', 'second_signature' => true] + $off)
            ->assertOk()
            ->assertJsonPath('data.phone', '555 0140');
        $administrator = User::factory()
            ->as(Role::Administrator)
            ->create(['name' => 'Ines']);
        $this->actingAs($administrator)
            ->putJson('/api/office', ['version' => $office['version'] + 1] + $off)
            ->assertOk()
            ->assertJsonPath('data.second_signature', false)
            ->assertJsonPath('data.signature_changed.by', 'Ines');
        $this->actingAs($this->person(Role::Volunteer))
            ->putJson('/api/office', ['version' => $office['version'] + 2] + $off)
            ->assertForbidden();
    }

    public function test_an_edition_waits_for_its_day_and_carries_that_day(): void
    {
        $this->publish('For June.', ['from' => '2026-06-01'])
            ->assertStatus(202)
            ->assertJsonPath('data.state', 'waiting')
            ->assertJsonPath('data.edition.published_on', '2026-06-01');
        $this->artisan('anthesis:turn-day')->assertSuccessful();
        self::assertNull(PublicSite::read('zones/test-basin'));
        config(['anthesis.today' => '2026-06-01']);
        $this->artisan('anthesis:turn-day')->assertSuccessful();
        self::assertStringContainsString('published 1 June 2026', (string) PublicSite::read('zones/test-basin'));
        $this->publish('Too late.', ['from' => '2026-06-01', 'even_unchanged' => true])
            ->assertUnprocessable()
            ->assertJsonValidationErrors('from');
        $this->publish('Too far.', ['from' => '2027-06-03', 'even_unchanged' => true])
            ->assertUnprocessable()
            ->assertJsonValidationErrors('from');
    }

    public function test_one_that_waits_is_taken_back_and_never_in_force(): void
    {
        $this->publish('For June.', ['from' => '2026-06-01'])->assertStatus(202);
        $this->postJson('/api/zones/test-basin/editions/1/withdrawal', ['reason' => ''])->assertUnprocessable();
        $this->postJson('/api/zones/test-basin/editions/1/withdrawal', ['reason' => 'Not yet.'])
            ->assertOk()
            ->assertJsonPath('data.withdrawn.reason', 'Not yet.')
            ->assertJsonPath('data.waits_for', null);
        config(['anthesis.today' => '2026-06-01']);
        $this->artisan('anthesis:turn-day')->assertSuccessful();
        self::assertNull(PublicSite::read('zones/test-basin'));
        $this->publish('Now.')->assertStatus(202)->assertJsonPath('data.edition.number', 2)->assertJsonPath('data.state', 'done');
        self::assertArrayNotHasKey(
            'changes',
            Edition::query()->where('number', 2)->firstOrFail()->open()->content,
            'nobody has read the first',
        );
    }

    public function test_one_that_was_in_force_is_withdrawn_with_a_notice_on_every_page_and_the_one_before_is_read_again(): void
    {
        $this->publish('The first.')->assertStatus(202);
        $this->publish('The second.', ['even_unchanged' => true])->assertStatus(202);
        self::assertStringContainsString('The second.', (string) PublicSite::read('zones/test-basin'));
        $this->postJson('/api/zones/test-basin/editions/2/withdrawal', ['reason' => 'From the wrong station.'])->assertOk();
        self::assertStringContainsString('The first.', (string) PublicSite::read('zones/test-basin'));
        self::assertStringNotContainsString('wrong station', (string) PublicSite::read('zones/test-basin'));
        foreach (['', '/weeks/20', '/crops/radish'] as $path) {
            self::assertStringContainsString(
                'Edition 2 was withdrawn on 12 May 2026: From the wrong station.',
                (string) PublicSite::read("zones/test-basin/editions/2{$path}"),
            );
        }
        $second = Edition::query()->where('number', 2)->firstOrFail();
        self::assertTrue($second->isSound(), 'its text is what was published');
        self::assertSame([], app(PublicSite::class)->changedFiles($second));
        self::assertStringContainsString('Edition 2, withdrawn', (string) $this->get('/zones/test-basin/news.atom')->getContent());
        $this->getJson('/open/v1/editions.json')->assertJsonPath('data.1.withdrawn_why', 'From the wrong station.');
        // A third is compared with the first, which is what gardeners have read.
        $this->publish('The third.', ['even_unchanged' => true])->assertStatus(202);
        self::assertSame(1, Edition::query()->where('number', 3)->firstOrFail()->open()->content['changes']['against']);
        $this->expectException(LogicException::class);
        $second->update(['withdrawn_why' => 'Something else.']);
    }

    public function test_the_only_edition_stays_readable_when_it_is_withdrawn_and_says_so(): void
    {
        $this->publish()->assertStatus(202);
        $this->postJson('/api/zones/test-basin/editions/1/withdrawal', ['reason' => 'Doubtful.'])->assertOk();
        self::assertStringContainsString(
            'Edition 1 was withdrawn on 12 May 2026: Doubtful.',
            (string) PublicSite::read('zones/test-basin'),
        );
        $this->actingAs($this->person(Role::Volunteer))
            ->postJson('/api/zones/test-basin/editions/1/withdrawal', ['reason' => 'x'])
            ->assertForbidden();
    }

    public function test_a_note_that_asks_for_a_season_without_dates_is_to_be_answered_for(): void
    {
        $this->patchJson('/api/crops/radish', [
            'cells' => ['notes' => 'Sow in winter for the earliest.'],
            'note' => 'A trial.',
            'version' => 1,
        ])->assertOk();
        $warnings = array_column($this->getJson('/api/zones/test-basin/draft')->assertOk()->json('data.warnings'), null, 'key');
        self::assertArrayHasKey('note-radish', $warnings);
        self::assertStringContainsString('its note mentions winter', $this->said($warnings['note-radish']['phrase']));
        self::assertArrayNotHasKey('note-garlic-hardneck', $warnings, 'planted in autumn, as its note says');
    }

    public function test_every_form_of_a_withdrawn_edition_says_so_or_is_empty_in_both_languages(): void
    {
        $this->zoneInPrint();
        $this->postJson('/api/zones/test-basin/editions/1/withdrawal', ['reason' => 'From the wrong station.'])->assertOk();
        foreach (
            [
                '' => 'Edition 1 was withdrawn on 12 May 2026: From the wrong station.',
                '/es' => 'La edición 1 se retiró el 12 de mayo de 2026: ',
            ] as $reading => $notice
        ) {
            foreach (
                [
                    '/embed',
                    '/paper/year',
                    '/paper/wall',
                    '/paper/week',
                    '/paper/leaflet',
                    '/paper/crop?crop=radish',
                    '/mine?crops=radish',
                    '/this-week',
                    '/crops/radish',
                    '/weeks/19',
                    '',
                ] as $address
            ) {
                $page = (string) preg_replace(
                    '/<[^>]+>/',
                    '',
                    (string) $this->get("{$reading}/zones/test-basin{$address}")
                        ->assertOk()
                        ->getContent(),
                );
                self::assertStringContainsString($notice, $page, $reading.$address);
                if (str_starts_with($address, '/embed') || str_starts_with($address, '/paper')) {
                    self::assertStringNotContainsString(
                        $reading === '' ? 'Sow outdoors' : 'Siembra directa',
                        $page,
                        'nothing is left to act on',
                    );
                }
            }
            $feed = (string) $this->get("{$reading}/zones/test-basin/calendar.ics")
                ->assertOk()
                ->getContent();
            self::assertSame(1, substr_count($feed, 'BEGIN:VEVENT'));
            self::assertStringContainsString(
                $reading === '' ? 'SUMMARY:Planting calendar withdrawn' : 'SUMMARY:Calendario de siembra retirado',
                $feed,
            );
            self::assertCount(
                1,
                explode(
                    "\r\n",
                    trim(
                        (string) $this->get("{$reading}/zones/test-basin/calendar.csv")
                            ->assertOk()
                            ->getContent(),
                    ),
                ),
                'a heading and no row',
            );
        }
        self::assertStringContainsString(
            'Planting calendar withdrawn',
            (string) PublicSite::read('zones/test-basin/calendar.ics'),
            'the file that the web server gives too',
        );
        $this->getJson('/zones/test-basin/calendar.json')->assertStatus(410)->assertSee('was withdrawn on 2026-05-12');
        $this->getJson('/zones/test-basin/editions/1/calendar.json')->assertOk()->assertHeader('X-Edition-Withdrawn', '2026-05-12');
        self::assertNull(PublicSite::read('zones/test-basin/calendar.json'));
        foreach (['windows', 'evidence'] as $table) {
            $this->getJson("/open/v1/zones/test-basin/{$table}.json")
                ->assertOk()
                ->assertJsonPath('data', []);
        }
    }
}
