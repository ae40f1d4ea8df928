<?php

declare(strict_types=1);

namespace Tests\Feature;

use Anthesis\Record\Day;
use App\Letters\LetterReader;
use App\Letters\OutboxMail;
use App\Letters\SendLetters;
use App\Letters\WeeklyLetter;
use App\Office\Office;
use App\People\Role;
use Tests\TestCase;

/** The newsletter: subscribed to, confirmed by the link in an e-mail, unsubscribed by the link in each issue. */
final class LetterTest extends TestCase
{
    protected ?array $book = ['radish', 'tomato-main', 'parsnip'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneInPrint();
    }

    /** The path of a link in the latest mail. */
    private function link(string $what): string
    {
        preg_match("#https?://[^/\s]+(/\S*/{$what}\S*)#", OutboxMail::query()->orderByDesc('id')->firstOrFail()->message, $found);

        return $found[1] ?? self::fail("no link to {$what}");
    }

    private function subscribe(string $prefix = '', string $crops = ''): void
    {
        $this->post("{$prefix}/zones/test-basin/letter", ['mail' => 'Gardener@Example.org', 'crops' => $crops])->assertOk();
        $this->post($this->link('confirm'))->assertOk();
    }

    public function test_nobody_gets_a_letter_who_has_not_confirmed_by_a_press_of_a_button(): void
    {
        $this->post('/zones/test-basin/letter', ['mail' => 'gardener@example.org'])
            ->assertOk()
            ->assertSee('Check your e-mail');
        self::assertSame(0, $this->sendLetters('2026-05-12'));
        $link = $this->link('confirm');
        $this->get($link)->assertOk()->assertSee('Do you want the weekly newsletter for Test Basin?');
        self::assertNull(LetterReader::query()->firstOrFail()->confirmed_at, 'to look at a link does nothing');
        $this->post($link)->assertOk()->assertSee('You will get the next newsletter for Test Basin.');
        self::assertSame(1, $this->sendLetters('2026-05-12'));
    }

    public function test_a_letter_holds_the_week_of_the_readers_crops_in_their_language_with_cautions_and_how_to_leave(): void
    {
        $this->subscribe('/es-f', 'radish,parsnip');
        self::assertSame(
            ['gardener@example.org', 'es-f', ['radish', 'parsnip']],
            array_values(
                LetterReader::query()
                    ->firstOrFail()
                    ->only(['mail', 'reading', 'crops']),
            ),
        );
        self::assertSame(1, $this->sendLetters('2026-05-12'));
        $letter = OutboxMail::query()->orderByDesc('id')->firstOrFail();
        self::assertSame('Test Basin: del 7 de mayo al 13 de mayo', $letter->subject);
        self::assertStringContainsString('Rábano, hasta el', $letter->message);
        self::assertStringContainsString('Chirivía: El jugo puede quemar la piel y los ojos', $letter->message);
        self::assertStringNotContainsString('Tomate', $letter->message);
        self::assertStringContainsString('/es-f/zones/test-basin/this-week', $letter->message);
        self::assertStringContainsString('/leave', $letter->message);
    }

    public function test_a_letter_says_what_to_water_where_there_is_rain_on_record(): void
    {
        $this->subscribe('/es-f');
        $reader = LetterReader::query()->firstOrFail();
        $edition = $reader->zone->currentEdition?->open() ?? self::fail('nothing is in print');
        $read = static fn (?array $water): string => implode(
            "\n",
            (new WeeklyLetter($reader, $edition, Day::of(2026, 5, 12), $water))->content()->with['paragraphs'],
        );
        self::assertStringContainsString(
            'En una semana de esta época un huerto pierde unos 0,89 in de agua, y la lluvia suele traer 0,31 in. Riegue la diferencia',
            $read(['rain' => 7.9, 'et0' => 22.6]),
        );
        self::assertStringContainsString('La lluvia suele traer tanta agua', $read(['rain' => 22.6, 'et0' => 22.6]));
        self::assertStringNotContainsString('lluvia', $read(null));
        Office::inUse()->update(['name' => 'Office', 'water_rules' => 'Solo de noche.', 'units' => 'us', 'dates' => 'month']);
        $reader->refresh();
        self::assertStringContainsString('Reglas de riego aquí: Solo de noche.', $read(null));
        self::assertStringContainsString('Reglas de riego aquí: Solo de noche.', $read(['rain' => 7.9, 'et0' => 22.6]));
    }

    public function test_a_letter_goes_out_once_a_week_on_thursday_or_the_first_run_after(): void
    {
        $this->subscribe();
        self::assertSame('2026-05-07', SendLetters::letterDay(Day::fromIso('2026-05-13'))->iso());
        self::assertSame('2026-05-14', SendLetters::letterDay(Day::fromIso('2026-05-14'))->iso());
        self::assertSame(
            [1, 0, 0, 1, 0],
            array_map(fn (string $day): int => $this->sendLetters($day), [
                '2026-05-12',
                '2026-05-12',
                '2026-05-13',
                '2026-05-14',
                '2026-05-20',
            ]),
        );
    }

    public function test_who_leaves_is_forgotten_by_a_press_or_by_a_mail_programs_own_button(): void
    {
        $this->subscribe();
        $this->sendLetters('2026-05-12');
        $link = $this->link('leave');
        $this->get($link)->assertOk()->assertSee('Do you want to stop the newsletter');
        self::assertSame(1, LetterReader::query()->count());
        $this->post($link, ['List-Unsubscribe' => 'One-Click'])
            ->assertOk()
            ->assertSee('Your address is deleted.');
        self::assertSame(0, LetterReader::query()->count());
        $this->post($link)->assertNotFound()->assertSee('We know nobody by this link');
    }

    public function test_an_address_is_asked_once_however_often_it_is_typed_and_bad_ones_are_given_back(): void
    {
        $this->post('/zones/test-basin/letter', ['mail' => 'no address', 'crops' => 'radish'])
            ->assertUnprocessable()
            ->assertSee('This is not an e-mail address')
            ->assertSee('value="no address"', false);
        $this->post('/zones/test-basin/letter', ['mail' => 'a@example.org'])->assertOk();
        $this->post('/zones/test-basin/letter', ['mail' => 'A@example.org'])
            ->assertOk()
            ->assertSee('Check your e-mail');
        self::assertSame([1, 1], [LetterReader::query()->count(), OutboxMail::query()->count()]);
        $this->travel(11)->minutes();
        $this->post('/zones/test-basin/letter', ['mail' => 'a@example.org'])->assertOk();
        self::assertSame(2, OutboxMail::query()->count());
        $answers = array_map(
            fn (int $try): int => $this->post('/zones/test-basin/letter', ['mail' => "b{$try}@example.org"])->getStatusCode(),
            range(1, 5),
        );
        self::assertSame([200, 200, 200, 200, 429], $answers, 'who types many addresses is stopped');
    }

    public function test_what_would_have_been_sent_is_read_at_the_desk_by_those_who_answer_for_addresses(): void
    {
        $this->subscribe();
        $this->getJson('/api/outbox')
            ->assertOk()
            ->assertJsonPath('data.simulated', true)
            ->assertJsonPath('data.readers', 1)
            ->assertJsonPath('data.mails.0.recipient', 'gardener@example.org');
        $this->actingAs($this->person(Role::Administrator))
            ->postJson('/api/invitations', ['name' => 'Nell', 'email' => 'nell@kestrel.example', 'role' => 'volunteer'])
            ->assertCreated();
        $subjects = fn (): array => array_column($this->getJson('/api/outbox')->assertOk()->json('data.mails'), 'recipient');
        self::assertContains('nell@kestrel.example', $subjects());
        $this->actingAs($this->person(Role::Educator));
        self::assertNotContains('nell@kestrel.example', $subjects(), 'a link that lets somebody in is for administrators alone');
        $this->actingAs($this->person(Role::Volunteer))->getJson('/api/outbox')->assertForbidden();
    }

    public function test_what_mail_refuses_is_no_address(): void
    {
        foreach (['a(comment)@example.org', '"quoted"@example', 'a@b@c.example', 'ä@example.org', 'someone'] as $mail) {
            self::assertSame(422, $this->post('/zones/test-basin/letter', ['mail' => $mail])->getStatusCode(), $mail);
        }
    }

    public function test_who_guesses_at_links_is_stopped(): void
    {
        foreach (range(1, 20) as $i) {
            $this->get('/letters/'.str_repeat('a', 46).sprintf('%02d', $i).'/confirm')->assertNotFound();
        }
        $this->get('/letters/'.str_repeat('b', 48).'/confirm')->assertTooManyRequests();
    }

    /** @return int letters written on a day */
    private function sendLetters(string $day): int
    {
        config(['anthesis.today' => $day]);

        return app(SendLetters::class)->execute();
    }
}
