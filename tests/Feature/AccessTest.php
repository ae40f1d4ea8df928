<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Editions\Edition;
use App\People\Role;
use App\Zones\Zone;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Cookie;
use Tests\TestCase;

final class AccessTest extends TestCase
{
    private function zone(): Zone
    {
        return Zone::factory()->create();
    }

    public function test_a_guest_is_sent_to_the_login_and_told_so_in_json(): void
    {
        $this->zone();
        $this->get('/desk')->assertRedirect('/desk/login');
        $this->get('/desk/zones/test-basin/planting-windows')->assertRedirect(
            '/desk/login?to=%2Fdesk%2Fzones%2Ftest-basin%2Fplanting-windows',
        );
        $this->get('/desk/login')->assertOk();
        foreach (['/api/zones', '/api/zones/test-basin', '/api/zones/test-basin/windows', '/api/zones/test-basin/editions'] as $path) {
            $this->getJson($path)->assertUnauthorized();
        }
        $this->postJson('/api/zones/test-basin/editions', ['note' => 'x'])->assertUnauthorized();
        $this->postJson('/api/zones', $this->zoneValues('Other'))->assertUnauthorized();
    }

    public function test_what_the_desk_is_told_is_kept_by_no_cache(): void
    {
        $this->zone();
        $this->actingAs($this->person());
        foreach (['/api/session', '/api/zones', '/api/zones/test-basin', '/desk-files/crops.csv'] as $path) {
            self::assertSame('no-store, private', $this->get($path)->assertOk()->headers->get('Cache-Control'), $path);
        }
    }

    public function test_an_administrator_does_all_that_an_educator_does(): void
    {
        $this->actingAs($this->person(Role::Educator));
        $educator = $this->getJson('/api/session')->json('data.user.can');
        $this->actingAs($this->person(Role::Administrator));
        $administrator = $this->getJson('/api/session')->json('data.user.can');
        self::assertSame(['manage-people', 'change-signature'], array_values(array_diff($administrator, $educator)));
        self::assertSame([], array_diff($educator, $administrator));
        $this->postJson('/api/zones', $this->zoneValues('Other'))->assertCreated();
    }

    public function test_a_volunteer_changes_no_zone_and_publishes_nothing(): void
    {
        $this->zone();
        $this->actingAs($this->person(Role::Volunteer));
        $this->getJson('/api/zones/test-basin')->assertOk();
        $this->getJson('/api/session')->assertJsonPath('data.user.can', []);
        $this->postJson('/api/zones', $this->zoneValues('Other'))->assertForbidden();
        $this->editZone($this->zoneValues('Other'))->assertForbidden();
        $this->postJson('/api/zones/test-basin/editions', ['note' => 'x'])->assertForbidden();
        $this->postJson('/api/zones/test-basin/computations')->assertForbidden();
        foreach (['record-previews', 'record-imports'] as $what) {
            $this->post(
                "/api/zones/test-basin/{$what}",
                ['file' => $this->stationFile()],
                ['Accept' => 'application/json'],
            )->assertForbidden();
        }
        self::assertSame([1, 0], [Zone::query()->count(), Edition::query()->count()]);
    }

    public function test_a_wrong_password_is_refused_and_after_five_tries_the_door_stays_shut_for_a_while(): void
    {
        $person = $this->person();
        foreach (range(1, 5) as $try) {
            $this->postJson('/api/session', ['email' => $person->email, 'password' => 'wrong'])
                ->assertUnprocessable()
                ->assertJsonPath('message', 'The e-mail or password is wrong.');
        }
        $this->postJson('/api/session', ['email' => $person->email, 'password' => 'a good long password'])->assertTooManyRequests();
        $this->assertGuest();
        $other = $this->person();
        foreach (range(1, 7) as $try) {
            $this->postJson('/api/session', ['email' => $other->email, 'password' => 'a good long password'])->assertOk();
            $this->deleteJson('/api/session')->assertNoContent();
        }
        $this->postJson('/api/session', ['email' => $other->email, 'password' => 'a good long password'])->assertOk();
        $this->assertAuthenticatedAs($other);
    }

    /** A late answer must not bring back the session that was left in the meantime. */
    public function test_an_answer_to_a_question_leaves_the_session_cookie_alone_and_pages_and_changes_renew_it(): void
    {
        $person = $this->person(Role::Educator);
        $name = (string) config('session.cookie');
        $cookies = static fn (TestResponse $response): array => array_values(
            array_intersect(array_map(static fn (Cookie $c): string => $c->getName(), $response->headers->getCookies()), [
                $name,
                'XSRF-TOKEN',
            ]),
        );
        $login = $this->postJson('/api/session', ['email' => $person->email, 'password' => 'a good long password'])->assertOk();
        $id = $login->getCookie($name)?->getValue() ?? self::fail('no cookie');
        $with = fn () => $this->withCredentials()->withCookie($name, $id);
        self::assertSame([], $cookies($with()->getJson('/api/session')->assertOk()->assertJsonPath('data.user.email', $person->email)));
        self::assertContains($name, $cookies($with()->get('/desk')->assertOk()));
        $changed = $with()->postJson('/api/zones', $this->zoneValues('Other'))->assertCreated();
        self::assertContains($name, $cookies($changed));
        // Somebody who comes without a session, or with an invalid one, gets one.
        self::assertContains($name, $cookies($this->withCredentials()->withCookie($name, 'no session')->getJson('/api/session')));
    }

    public function test_tries_cannot_be_spread_over_made_up_addresses(): void
    {
        $person = $this->person();
        foreach (range(1, 5) as $try) {
            $this->postJson(
                '/api/session',
                ['email' => $person->email, 'password' => 'wrong'],
                ['X-Forwarded-For' => "10.0.0.{$try}"],
            )->assertUnprocessable();
        }
        $this->postJson(
            '/api/session',
            ['email' => $person->email, 'password' => 'wrong'],
            ['X-Forwarded-For' => '10.0.0.99'],
        )->assertTooManyRequests();
    }

    public function test_forged_requests_are_refused(): void
    {
        // The framework exempts its own tests from tokens; this one asks the way a browser would.
        $this->app->bind(
            ValidateCsrfToken::class,
            fn ($app) => new class($app, $app['encrypter']) extends ValidateCsrfToken
            {
                protected function runningUnitTests(): bool
                {
                    return false;
                }
            },
        );
        $this->zone();
        $this->actingAs($this->person());
        $this->withoutExceptionHandling();
        $this->expectException(TokenMismatchException::class);
        $this->post('/api/zones/test-basin/editions', ['note' => 'forged']);
    }

    public function test_every_page_carries_the_security_headers(): void
    {
        foreach (['/', '/desk/login', '/api/session', '/zones/nowhere'] as $path) {
            $response = $this->get($path);
            $policy = (string) $response->headers->get('Content-Security-Policy');
            self::assertStringContainsString("script-src 'self';", $policy);
            self::assertStringContainsString("default-src 'none'", $policy);
            self::assertStringContainsString("frame-ancestors 'none'", $policy);
            $response
                ->assertHeader('X-Content-Type-Options', 'nosniff')
                ->assertHeader('X-Frame-Options', 'DENY')
                ->assertHeader('Referrer-Policy', 'same-origin');
        }
    }

    public function test_every_page_asks_for_its_type_faces_before_its_program(): void
    {
        foreach (['/', '/desk/login', '/log'] as $path) {
            $html = (string) $this->get($path)->assertOk()->getContent();
            preg_match_all('#<link rel="preload" href="([^"]+\.woff2)" as="font" type="font/woff2" crossorigin#', $html, $faces);
            self::assertCount(2, $faces[1], $path);
            foreach ($faces[1] as $face) {
                self::assertFileExists(public_path((string) parse_url($face, PHP_URL_PATH)));
                self::assertLessThan(strpos($html, 'type="module"'), strpos($html, $face));
            }
        }
    }

    public function test_pages_run_no_script_inline(): void
    {
        foreach (['/', '/desk/login'] as $path) {
            $html = (string) $this->get($path)->assertOk()->getContent();
            preg_match_all('/<script(?![^>]*\bsrc=)([^>]*)>/', $html, $inline);
            foreach ($inline[1] as $attributes) {
                self::assertStringContainsString('type="application/json"', $attributes, 'data, not a program');
            }
            self::assertDoesNotMatchRegularExpression('/\son[a-z]+=/', $html);
            // Links to the page in other languages have the host in them, and nobody loads them.
            $loaded = (string) preg_replace('#<link rel="alternate"[^>]*>#', '', $html);
            self::assertDoesNotMatchRegularExpression('#(src|href)="https?://#', $loaded, 'nothing is loaded from elsewhere');
        }
    }

    public function test_a_page_takes_no_styles_but_its_own(): void
    {
        $this->zoneInPrint();
        foreach (['/', '/zones/test-basin', '/zones/test-basin/crops/kale', '/zones/test-basin/paper/week', '/contact'] as $path) {
            $html = (string) $this->get($path)->getContent();
            self::assertSame(1, preg_match('#<style>(.*?)</style>#s', $html, $styles), $path);
            $own = "style-src 'self' 'sha256-".base64_encode(hash('sha256', $styles[1], true))."'";
            self::assertStringContainsString("<meta http-equiv=\"Content-Security-Policy\" content=\"{$own}\">", $html, $path);
            self::assertDoesNotMatchRegularExpression('/<[a-z][^>]*\sstyle=/', $html, "{$path} has styles that its own policy forbids");
        }
        $log = (string) $this->get('/log')->assertOk()->headers->get('Content-Security-Policy');
        self::assertStringContainsString("style-src 'self';", $log);
    }
}
