<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Behind a proxy that handles TLS, readers are told apart and cookies are safe; nobody else is trusted. */
final class ProxyTest extends TestCase
{
    protected ?array $book = ['radish'];

    protected function setUp(): void
    {
        parent::setUp();
        TrustProxies::at(['192.0.2.10']);
    }

    protected function tearDown(): void
    {
        TrustProxies::at([]);
        parent::tearDown();
    }

    /**
     * @param  string  $from  who connects to us
     * @param  string  $for  who asks, according to that proxy
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function ask(string $address, string $from, string $for, string $by = 'https'): TestResponse
    {
        return $this->withServerVariables(['REMOTE_ADDR' => $from])->get($address, [
            'X-Forwarded-For' => $for,
            'X-Forwarded-Proto' => $by,
            'X-Forwarded-Host' => 'evil.example',
        ]);
    }

    public function test_by_tls_cookies_are_secure_and_browsers_are_asked_to_stay_with_it(): void
    {
        $answer = $this->ask('/desk/login', '192.0.2.10', '203.0.113.7')
            ->assertOk()
            ->assertHeader('Strict-Transport-Security', 'max-age=31536000');
        self::assertNotSame([], $answer->headers->getCookies());
        foreach ($answer->headers->getCookies() as $cookie) {
            self::assertTrue($cookie->isSecure(), $cookie->getName());
        }
        self::assertStringNotContainsString(
            'evil.example',
            (string) $this->ask('/desk', '192.0.2.10', '203.0.113.7')->assertRedirect()->headers->get('Location'),
        );
    }

    public function test_without_tls_and_from_anybody_else_nothing_is_claimed(): void
    {
        foreach ([['192.0.2.10', 'http'], ['198.51.100.9', 'https']] as [$from, $by]) {
            $answer = $this->ask('/desk/login', $from, '203.0.113.7', $by)->assertOk()->assertHeaderMissing('Strict-Transport-Security');
            foreach ($answer->headers->getCookies() as $cookie) {
                self::assertFalse($cookie->isSecure());
            }
        }
    }

    public function test_readers_behind_the_proxy_have_a_limit_each_and_who_claims_to_be_others_has_one(): void
    {
        $tries = fn (string $from, int $n): int => collect(range(1, 25))
            ->map(
                fn (int $i): int => $this->ask(
                    '/letters/'.str_repeat('a', 48).'/confirm',
                    $from,
                    $n === 0 ? '203.0.113.7' : "203.0.113.{$i}",
                )->getStatusCode(),
            )
            ->filter(static fn (int $s): bool => $s === 429)
            ->count();
        self::assertSame(0, $tries('192.0.2.10', 1), 'twenty-five readers through one proxy');
        self::assertSame(5, $tries('198.51.100.9', 1), 'one who claims to be twenty-five');
    }
}
