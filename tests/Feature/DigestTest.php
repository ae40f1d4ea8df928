<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Desk\DigestMail;
use App\Office\SaveOffice;
use App\People\PlainMail;
use App\People\Role;
use App\People\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Mail;
use Tests\TestCase;

/** Whoever wants it gets an e-mail once a day about what needs their attention. */
final class DigestTest extends TestCase
{
    private User $educator;

    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneWithRecord();
        $this->educator = User::query()->firstOrFail();
        Mail::fake();
    }

    private function wants(User $user): void
    {
        $this->actingAs($user->refresh())
            ->putJson('/api/profile', ['units' => 'us', 'dates' => 'month', 'home_zone' => null, 'digest' => true])
            ->assertOk()
            ->assertJsonPath('data.user.digest', true);
    }

    private function text(User $to): string
    {
        $text = '';
        Mail::assertSent(DigestMail::class, static function (DigestMail $mail) use ($to, &$text): bool {
            $text = $mail->hasTo($to->email) ? $mail->render() : $text;

            return $mail->hasTo($to->email);
        });

        return $text;
    }

    public function test_who_wants_it_is_told_once_a_day_and_nobody_else(): void
    {
        $this->wants($this->educator);
        $this->person(Role::Educator);
        Artisan::call('anthesis:digests');
        self::assertStringContainsString('digests written: 1', Artisan::output());
        Artisan::call('anthesis:digests');
        Mail::assertSentCount(1);
        $text = $this->text($this->educator);
        self::assertStringContainsString("Good morning {$this->educator->name},", $text);
        self::assertStringContainsString('- Test Basin: The planting windows are ready, and no calendar is published yet.', $text);
        self::assertStringContainsString('/desk', $text);
        config(['anthesis.today' => '2026-05-13']);
        Artisan::call('anthesis:digests');
        Mail::assertSentCount(2);
    }

    public function test_a_reviewer_is_told_of_the_signature_that_is_wanted_and_of_nothing_that_is_not_theirs(): void
    {
        app(SaveOffice::class)->execute(['name' => 'Office', 'second_signature' => true], 1, $this->educator);
        $this->publish()->assertStatus(202);
        $reviewer = $this->person(Role::Reviewer);
        $volunteer = $this->person(Role::Volunteer);
        $this->wants($reviewer);
        $this->wants($volunteer);
        Artisan::call('anthesis:digests');
        $text = $this->text($reviewer);
        self::assertStringContainsString('Edition 1 waits for your signature.', $text);
        self::assertStringNotContainsString('no calendar is published', $text);
        // Nothing needs a volunteer, so nothing is sent.
        Mail::assertSentCount(1);
    }

    public function test_mail_comes_in_the_language_a_person_chose(): void
    {
        $this->wants($this->educator);
        $this->putJson('/api/profile', [
            'units' => 'us',
            'dates' => 'month',
            'home_zone' => null,
            'language' => 'xx',
        ])->assertUnprocessable();
        $this->putJson('/api/profile', ['units' => 'us', 'dates' => 'month', 'home_zone' => null, 'language' => 'es'])
            ->assertOk()
            ->assertJsonPath('data.user.chosen.language', 'es')
            ->assertJsonPath('data.user.languages', ['en', 'es']);
        $this->putJson('/api/profile', ['units' => 'us', 'dates' => 'month', 'home_zone' => null])
            ->assertOk()
            ->assertJsonPath('data.user.chosen.language', 'es');
        Artisan::call('anthesis:digests');
        $text = $this->text($this->educator);
        self::assertStringContainsString("Buenos días, {$this->educator->name}:", $text);
        self::assertStringContainsString('Por decidir', $text);
        self::assertStringContainsString(
            '- Test Basin: Las fechas de siembra están listas, y todavía no hay ningún calendario publicado.',
            $text,
        );
        self::assertStringNotContainsString('planting windows', $text);
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $this->postJson('/api/password-links', ['email' => $this->educator->email])->assertStatus(202);
        Mail::assertSent(
            PlainMail::class,
            static fn (PlainMail $mail): bool => str_contains($mail->render(), 'pidió poner una contraseña nueva'),
        );
    }

    public function test_who_was_deactivated_or_changed_their_mind_is_not_written_to(): void
    {
        $this->wants($this->educator);
        $this->putJson('/api/profile', ['units' => null, 'dates' => null, 'home_zone' => null])->assertJsonPath('data.user.digest', true);
        $this->educator->memberships()->update(['deactivated_at' => now()]);
        Artisan::call('anthesis:digests');
        $this->educator->memberships()->update(['deactivated_at' => null]);
        $this->educator->update(['digest' => false]);
        Artisan::call('anthesis:digests');
        Mail::assertNothingSent();
    }
}
