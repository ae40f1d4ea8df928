<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Log\LogEntry;
use App\Office\Office;
use App\Office\SaveOffice;
use App\People\Change;
use App\People\Invitation;
use App\People\Login;
use App\People\PlainMail;
use App\People\Role;
use App\People\Totp;
use App\People\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Mail;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** People are invited, join, come, and go; each manages their own account. */
final class PeopleTest extends TestCase
{
    private const PASSWORD = 'three words and a number 7';

    private User $ines;

    protected function setUp(): void
    {
        parent::setUp();
        Mail::fake();
        $this->ines = $this->person(Role::Administrator);
        $this->actingAs($this->ines);
    }

    /** @return TestResponse<Response> */
    private function invite(string $email = 'new@kestrel.example', string $role = 'volunteer'): TestResponse
    {
        return $this->postJson('/api/invitations', ['name' => 'New Person', 'email' => $email, 'role' => $role]);
    }

    /** @return string the secret at the end of the link in the last e-mail, or of the whole address if it continues */
    private function link(string $to, string $path): string
    {
        $link = null;
        Mail::assertSent(PlainMail::class, static function (PlainMail $mail) use ($to, $path, &$link): bool {
            if (! $mail->hasTo($to) || preg_match("#/desk/{$path}/([A-Za-z0-9]+)#", $mail->render(), $match) !== 1) {
                return false;
            }
            $link = $match[1];

            return true;
        });

        return $link ?? self::fail('no link');
    }

    private function leave(): void
    {
        $this->deleteJson('/api/session');
        $this->app['auth']->forgetGuards();
        $this->flushSession();
    }

    /** @return TestResponse<Response> */
    private function logIn(User $user, string $password = 'a good long password'): TestResponse
    {
        $this->leave();

        return $this->postJson('/api/session', ['email' => $user->email, 'password' => $password]);
    }

    public function test_an_invitation_leads_to_a_person_once_and_for_a_week(): void
    {
        $this->invite()->assertCreated();
        $this->getJson('/api/people')
            ->assertOk()
            ->assertJsonPath('data.invitations.0.email', 'new@kestrel.example')
            ->assertJsonPath('data.invitations.0.by', $this->ines->name);
        $secret = $this->link('new@kestrel.example', 'invitation');
        self::assertNotSame($secret, Invitation::query()->sole()->token, 'only its hash is kept');
        $this->leave();
        $this->getJson("/api/invited/{$secret}")->assertOk()->assertJsonPath('data.role', 'volunteer');
        $join = fn (string $password): TestResponse => $this->postJson("/api/invited/{$secret}", [
            'name' => 'Nell Person',
            'password' => $password,
        ]);
        $join('too short')
            ->assertUnprocessable()
            ->assertJsonPath('errors.password.0', 'The password needs at least 12 characters. A few words in a row are easy to remember.');
        $join('Password1234')->assertUnprocessable();
        $join('1q2w3e4r5t6y')
            ->assertUnprocessable()
            ->assertJsonPath('errors.password.0', 'This is one of the passwords people try first. Choose another one.');
        self::assertSame(1, User::query()->count());
        $join(self::PASSWORD)->assertCreated();
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/session')->assertJsonPath('data.user.name', 'Nell Person')->assertJsonPath('data.user.can', []);
        $this->leave();
        $join(self::PASSWORD)
            ->assertUnprocessable()
            ->assertJsonPath('errors.name.0', 'This link has been used or is too old. Ask your office for a new one.');
        $this->getJson("/api/invited/{$secret}")->assertNotFound();
    }

    public function test_a_link_that_is_too_old_replaced_or_withdrawn_is_good_for_nothing(): void
    {
        $this->invite()->assertCreated();
        $first = $this->link('new@kestrel.example', 'invitation');
        $this->travel(6)->days();
        $this->getJson("/api/invited/{$first}")->assertOk();
        $this->travel(2)->days();
        $this->getJson("/api/invited/{$first}")->assertNotFound();
        $this->travelBack();
        $this->invite()->assertCreated();
        // The same person was invited again.
        $this->getJson("/api/invited/{$first}")->assertNotFound();
        self::assertSame(1, Invitation::open()->count());
        $this->deleteJson('/api/invitations/'.Invitation::open()->value('id'))->assertNoContent();
        self::assertSame(0, Invitation::open()->count());
        $this->invite($this->ines->email)
            ->assertUnprocessable()
            ->assertJsonPath('errors.email.0', 'Somebody here already has this address. Look for them in the list.');
    }

    public function test_links_cannot_be_guessed_by_trying(): void
    {
        $this->leave();
        $guess = fn (): int => $this->getJson('/api/invited/'.bin2hex(random_bytes(24)))->getStatusCode();
        $answers = array_map($guess, range(1, 21));
        self::assertSame([...array_fill(0, 20, 404), 429], $answers);
        self::assertSame(429, $this->postJson('/api/password-links', ['email' => 'x@kestrel.example'])->getStatusCode());
        $this->travel(61)->seconds();
        self::assertSame(404, $guess());
    }

    public function test_only_administrators_look_after_people(): void
    {
        $other = $this->person(Role::Volunteer);
        foreach ([Role::Volunteer, Role::Reviewer, Role::Educator] as $role) {
            $this->actingAs($this->person($role));
            $this->getJson('/api/people')->assertForbidden();
            $this->invite()->assertForbidden();
            $this->patchJson("/api/people/{$other->id}", ['role' => 'administrator'])->assertForbidden();
            $this->deleteJson("/api/people/{$other->id}", ['keep_name' => true])->assertForbidden();
        }
        self::assertSame(Role::Volunteer, $other->refresh()->role);
        Mail::assertNothingSent();
    }

    public function test_a_deactivated_person_is_out_at_once_and_may_come_back(): void
    {
        $nell = $this->person(Role::Educator);
        $this->logIn($nell)->assertOk();
        $session = $this->app['session']->all();
        $this->getJson('/api/zones')->assertOk();
        $this->actingAs($this->ines)->patchJson("/api/people/{$nell->id}", ['active' => false])->assertOk();
        $this->app['auth']->forgetGuards();
        $this->withSession($session)->getJson('/api/zones')->assertUnauthorized();
        $this->logIn($nell)->assertUnprocessable();
        $this->actingAs($this->ines)->patchJson("/api/people/{$nell->id}", ['active' => true])->assertOk();
        $this->logIn($nell)->assertOk();
    }

    public function test_the_task_feed_of_a_deactivated_person_leads_nowhere(): void
    {
        $this->zoneWithRecord();
        $nell = $this->person(Role::Educator);
        $token = str_repeat('f', 48);
        $nell->update(['feed_token' => $token]);
        $this->get("/tasks/{$token}/test-basin.ics")->assertOk();
        $nell->memberships()->update(['deactivated_at' => now()]);
        $this->get("/tasks/{$token}/test-basin.ics")->assertNotFound();
    }

    public function test_somebody_is_always_left_to_look_after_people(): void
    {
        $words = "{$this->ines->name} is the only administrator. Make somebody else an administrator first.";
        $at = "/api/people/{$this->ines->id}";
        $this->patchJson($at, ['role' => 'educator'])->assertUnprocessable()->assertJsonPath('errors.role.0', $words);
        $this->patchJson($at, ['active' => false])->assertUnprocessable()->assertJsonPath('errors.active.0', $words);
        $this->deleteJson($at, ['keep_name' => true])->assertUnprocessable()->assertJsonPath('errors.keep_name.0', $words);
        $gone = $this->person(Role::Administrator);
        $this->patchJson("/api/people/{$gone->id}", ['active' => false])->assertOk();
        // Somebody who is deactivated manages nobody.
        $this->patchJson($at, ['role' => 'educator'])->assertUnprocessable();
        $this->patchJson("/api/people/{$gone->id}", ['active' => true])->assertOk();
        $this->patchJson($at, ['role' => 'educator'])->assertOk();
    }

    public function test_what_a_removed_person_did_stays_with_their_name_or_without(): void
    {
        $this->zoneWithRecord();
        $this->ines = $this->person(Role::Administrator);
        [$named, $unnamed] = [$this->person(Role::Educator), $this->person(Role::Educator)];
        foreach ([$named, $unnamed] as $i => $person) {
            $this->actingAs($person);
            $this->postJson('/api/zones/test-basin/log-entries', [
                'sent_at' => 2,
                'by' => 'desk',
                'entries' => [
                    [
                        'key' => "sown-by-them-{$i}",
                        'act' => 'sown',
                        'on' => '2012-04-12',
                        'crop' => 'radish',
                        'garden' => 'School',
                        'bed' => 'Bed 3',
                        'written_at' => 1,
                    ],
                ],
            ])->assertOk();
        }
        $this->actingAs($this->ines);
        $this->deleteJson("/api/people/{$named->id}", ['keep_name' => true])->assertNoContent();
        $this->deleteJson("/api/people/{$unnamed->id}", ['keep_name' => false])->assertNoContent();
        self::assertSame(
            [$named->name, null],
            LogEntry::query()->with('user')->orderBy('id')->get()->map(static fn (LogEntry $e): ?string => $e->user?->name)->all(),
        );
        self::assertNotContains($named->id, array_column($this->getJson('/api/people')->json('data.people'), 'id'));
        self::assertStringNotContainsString($named->email, (string) User::query()->get()->toJson(), 'the address is not kept');
        $this->logIn($named)->assertUnprocessable();
        $this->actingAs($this->ines)->invite($named->email)->assertCreated();
        $this->patchJson("/api/people/{$named->id}", ['role' => 'volunteer'])->assertNotFound();
    }

    public function test_a_reviewer_signs_and_changes_no_date(): void
    {
        $this->zoneWithRecord();
        $this->ines = $this->person(Role::Administrator);
        app(SaveOffice::class)->execute(['name' => 'Office', 'second_signature' => true], 1, $this->ines);
        $this->actingAs($this->person(Role::Educator));
        $this->publish()->assertStatus(202);
        $this->actingAs($this->person(Role::Volunteer));
        $this->postJson('/api/zones/test-basin/editions/1/signature')->assertForbidden();
        $reviewer = $this->person(Role::Reviewer);
        $this->actingAs($reviewer);
        $this->getJson('/api/session')->assertJsonPath('data.user.can', ['sign']);
        $this->publish('Mine.')->assertForbidden();
        $this->postJson('/api/zones/test-basin/editions/1/withdrawal', ['reason' => 'x'])->assertForbidden();
        $this->postJson('/api/zones/test-basin/editions/1/signature')->assertOk()->assertJsonPath('data.signed_by', $reviewer->name);
    }

    public function test_a_forgotten_password_is_set_by_a_link_good_once_and_everything_else_is_logged_out(): void
    {
        $nell = $this->person(Role::Volunteer);
        Login::beginOn('', $nell);
        $this->leave();
        $this->postJson('/api/password-links', ['email' => 'nobody@kestrel.example'])->assertStatus(202);
        Mail::assertNothingSent();
        $this->postJson('/api/password-links', ['email' => mb_strtoupper($nell->email)])->assertStatus(202);
        $token = $this->link($nell->email, 'new-password');
        $set = fn (string $token): TestResponse => $this->postJson('/api/new-password', [
            'email' => $nell->email,
            'token' => $token,
            'password' => self::PASSWORD,
        ]);
        $set('wrong')->assertUnprocessable()->assertJsonPath('errors.token.0', 'This link has been used or is too old. Ask for a new one.');
        $this->logIn($nell, self::PASSWORD)->assertUnprocessable();
        $set($token)->assertNoContent();
        self::assertSame(0, Login::ofPerson($nell)->count());
        $set($token)->assertUnprocessable();
        $this->logIn($nell, self::PASSWORD)->assertOk();
        $gone = $this->person(Role::Volunteer);
        $gone->memberships()->update(['deactivated_at' => now()]);
        $this->postJson('/api/password-links', ['email' => $gone->email])->assertStatus(202);
        // The link, and that it was used.
        Mail::assertSentCount(2);
    }

    public function test_a_new_address_counts_once_it_is_confirmed_and_takes_the_password(): void
    {
        $ask = fn (string $password): TestResponse => $this->putJson('/api/profile/email', [
            'email' => 'Ines.New@kestrel.example',
            'current_password' => $password,
        ]);
        $ask('wrong')->assertUnprocessable()->assertJsonPath('errors.current_password.0', 'This is not your password.');
        $old = $this->ines->email;
        $ask('a good long password')
            ->assertOk()
            ->assertJsonPath('data.email', $old)
            ->assertJsonPath('data.new_email', 'ines.new@kestrel.example');
        $secret = $this->link('ines.new@kestrel.example', 'new-address');
        $this->postJson('/api/new-address/'.strrev($secret))->assertUnprocessable();
        $this->postJson("/api/new-address/{$secret}")->assertNoContent();
        self::assertSame('ines.new@kestrel.example', $this->ines->refresh()->email);
        $this->postJson("/api/new-address/{$secret}")->assertUnprocessable();
    }

    public function test_a_new_password_ends_the_logins_elsewhere_and_each_can_be_ended(): void
    {
        $nell = $this->person(Role::Volunteer);
        $this->logIn($nell)->assertOk();
        $elsewhere = Login::beginOn('Mozilla/5.0 (X11; Linux x86_64) Gecko/20100101 Firefox/128.0', $nell);
        $logins = $this->getJson('/api/profile/account')->assertOk()->json('data.logins');
        self::assertEqualsCanonicalizing(['Firefox on Linux', 'another program'], array_column($logins, 'device'));
        self::assertSame([false, true], [
            array_column($logins, 'here', 'id')[$elsewhere->id],
            array_sum(array_column($logins, 'here')) === 1,
        ]);
        $others = Login::beginOn('', $this->ines);
        $this->deleteJson("/api/profile/logins/{$others->id}")->assertNotFound();
        $this->deleteJson("/api/profile/logins/{$elsewhere->id}")->assertOk()->assertJsonCount(1, 'data.logins');
        Login::beginOn('', $nell);
        $this->putJson('/api/profile/password', ['current_password' => 'a good long password', 'password' => self::PASSWORD])
            ->assertOk()
            ->assertJsonCount(1, 'data.logins');
        $this->getJson('/api/session')->assertJsonPath('data.user.email', $nell->email);
        self::assertNull($others->refresh()->ended_at);
        self::assertSame('password-changed', Change::query()->orderByDesc('id')->value('act'));
    }

    public function test_a_person_is_told_by_mail_when_how_they_get_in_changes(): void
    {
        $nell = $this->person(Role::Volunteer);
        $said = static function (string $words) use ($nell): void {
            Mail::assertSent(
                PlainMail::class,
                static fn (PlainMail $mail): bool => $mail->hasTo($nell->email) && str_contains($mail->render(), $words),
            );
        };
        $this->actingAs($nell->refresh())
            ->putJson('/api/profile/password', ['current_password' => 'a good long password', 'password' => self::PASSWORD])
            ->assertOk();
        $said('your password was changed');
        $secret = $this->postJson('/api/profile/second-factor')->json('data.secret');
        $this->putJson('/api/profile/second-factor', ['code' => Totp::code($secret, intdiv(now()->getTimestamp(), 30))])->assertOk();
        $said('a second step was turned on');
        $this->actingAs($this->ines)->patchJson("/api/people/{$nell->id}", ['second_factor' => false])->assertOk();
        $said('the second step of your log-in was turned off');
        $this->actingAs($nell->refresh())
            ->putJson('/api/profile/email', ['email' => 'nell.new@kestrel.example', 'current_password' => self::PASSWORD])
            ->assertOk();
        $this->postJson('/api/new-address/'.$this->link('nell.new@kestrel.example', 'new-address'))->assertNoContent();
        $said('this one is not used any more');
    }

    public function test_a_password_counts_whole_and_one_kept_in_the_old_way_is_kept_anew(): void
    {
        $nell = $this->person(Role::Volunteer);
        $long = str_repeat('long words ', 12);
        $this->actingAs($nell->refresh())
            ->putJson('/api/profile/password', ['current_password' => 'a good long password', 'password' => "{$long}one"])
            ->assertOk();
        $this->logIn($nell, "{$long}two")->assertUnprocessable();
        $this->logIn($nell, "{$long}one")->assertOk();
        User::query()->whereKey($nell->id)->toBase()->update(['password' => password_hash('an old password', PASSWORD_BCRYPT)]);
        $this->logIn($nell, 'an old password')->assertOk();
        self::assertStringStartsWith('$argon2id$', $nell->refresh()->password);
        $this->logIn($nell, 'an old password')->assertOk();
    }

    public function test_a_login_that_ran_out_is_not_shown_and_forgotten_in_the_end(): void
    {
        $nell = $this->person(Role::Volunteer);
        [$old, $latest] = [Login::beginOn('', $nell), Login::beginOn('', $nell)];
        self::assertSame(2, Login::alive($nell)->count());
        $old->update(['seen_at' => $old->seen_at->subMinutes(500)]);
        self::assertSame([$latest->id], Login::alive($nell)->pluck('id')->all());
        $old->update(['seen_at' => $old->seen_at->subDays(89)]);
        Login::forgetOld();
        self::assertNotNull($old->fresh());
        Login::query()->update(['seen_at' => $old->seen_at->subDays(2)]);
        Login::forgetOld();
        self::assertSame([null, $latest->id], [$old->fresh(), $latest->fresh()?->id], 'the latest tells when they were seen');
    }

    public function test_the_second_step_is_set_up_asked_for_and_takes_each_code_once(): void
    {
        Carbon::setTestNow('2026-05-12 08:00:00');
        $nell = $this->person(Role::Educator);
        $this->logIn($nell)->assertOk();
        $begun = $this->postJson('/api/profile/second-factor')->assertCreated()->json('data');
        self::assertStringContainsString("secret={$begun['secret']}", $begun['address']);
        $code = static fn (int $steps = 0): string => Totp::code($begun['secret'], intdiv(now()->getTimestamp(), 30) + $steps);
        $this->putJson('/api/profile/second-factor', ['code' => $code(5)])->assertUnprocessable();
        $this->logIn($nell)->assertJsonPath('data.waits_for_code', false);
        $recovery = $this->putJson('/api/profile/second-factor', ['code' => $code()])->assertOk()->json('data.recovery_codes');
        self::assertCount(8, array_unique($recovery));
        $this->logIn($nell)->assertOk()->assertJsonPath('data.waits_for_code', true)->assertJsonPath('data.user', null);
        $this->getJson('/api/zones')->assertUnauthorized();
        // That code was used to set it up.
        $this->postJson('/api/session/code', ['code' => $code()])->assertUnprocessable();
        $this->travel(30)->seconds();
        $this->postJson('/api/session/code', ['code' => $code()])->assertOk()->assertJsonPath('data.user.email', $nell->email);
        $this->logIn($nell)->assertJsonPath('data.waits_for_code', true);
        $this->postJson('/api/session/code', ['code' => $recovery[0]])->assertOk();
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/profile/account')->assertJsonPath('data.second_factor.recovery_codes', 7);
        $this->logIn($nell);
        $this->postJson('/api/session/code', ['code' => $recovery[0]])->assertUnprocessable();
        foreach (range(1, 4) as $try) {
            $this->postJson('/api/session/code', ['code' => '000000']);
        }
        $this->postJson('/api/session/code', ['code' => $recovery[1]])->assertTooManyRequests();
        $this->travel(6)->minutes();
        $this->postJson('/api/session/code', ['code' => $recovery[1]])
            ->assertUnprocessable()
            ->assertJsonPath('errors.code.0', 'That took too long. Log in with your password again.');
        $this->actingAs($this->ines)->patchJson("/api/people/{$nell->id}", ['second_factor' => false])->assertOk();
        $this->logIn($nell)->assertJsonPath('data.waits_for_code', false);
    }

    public function test_an_office_can_demand_the_second_step_of_everybody(): void
    {
        $office = app(SaveOffice::class)->execute(['name' => 'Office', 'second_signature' => false], 1, $this->ines);
        $form = array_diff_key($this->getJson('/api/office')->json('data'), ['signature_changed' => 1]);
        $this->actingAs($this->person(Role::Educator));
        $this->putJson('/api/office', ['second_factor' => true] + $form)
            ->assertUnprocessable()
            ->assertJsonPath('errors.second_factor.0', 'Only an administrator changes whether everybody needs a second step to log in.');
        $this->actingAs($this->ines)->putJson('/api/office', ['second_factor' => true] + $form)->assertOk();
        self::assertTrue($office->refresh()->second_factor);
        $this->getJson('/api/session')->assertOk()->assertJsonPath('data.user.must_set_second_factor', true);
        $this->getJson('/api/people')
            ->assertForbidden()
            ->assertJsonPath('message', 'Your office requires a second step when logging in. Set it up in your profile first.');
        // A token is no way around it either.
        $this->postJson('/api/profile/tokens', ['name' => 'x', 'scopes' => ['read-zones'], 'days' => 30])->assertForbidden();
        $this->getJson('/api/profile/account')->assertOk()->assertJsonPath('data.second_factor.demanded', true);
        $secret = $this->postJson('/api/profile/second-factor')->assertCreated()->json('data.secret');
        $this->putJson('/api/profile/second-factor', ['code' => Totp::code($secret, intdiv(time(), 30))])->assertOk();
        $this->actingAs($this->ines->refresh())->getJson('/api/people')->assertOk();
        Office::query()->update(['second_factor' => false]);
    }

    public function test_codes_are_those_of_the_standard(): void
    {
        // RFC 6238, appendix B, in six digits: the secret is "12345678901234567890".
        $secret = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ';
        foreach (['287082' => 59, '081804' => 1_111_111_109, '005924' => 1_234_567_890, '279037' => 2_000_000_000] as $code => $at) {
            self::assertSame(str_pad((string) $code, 6, '0', STR_PAD_LEFT), Totp::code($secret, intdiv($at, 30)));
            self::assertSame(intdiv($at, 30), Totp::stepOf($secret, str_pad((string) $code, 6, '0', STR_PAD_LEFT), $at));
        }
        self::assertSame(1, Totp::stepOf($secret, '287082', 89), 'a step late');
        self::assertNull(Totp::stepOf($secret, '287082', 90));
        self::assertSame(1, Totp::stepOf($secret, '287082', 29), 'a step early');
        self::assertNull(Totp::stepOf($secret, '287082', 59, 1), 'used already');
        self::assertSame(32, strlen(Totp::secret()));
        self::assertNotSame(Totp::secret(), Totp::secret());
    }
}
