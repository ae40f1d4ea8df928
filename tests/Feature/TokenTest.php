<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Log\LogEntry;
use App\People\Change;
use App\People\Role;
use App\People\Token;
use App\People\User;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Programs use a token, which does what it was made for and no more. */
final class TokenTest extends TestCase
{
    private User $person;

    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneWithRecord();
        $this->person = User::query()->firstOrFail();
    }

    /** @param  list<string>  $scopes */
    private function token(array $scopes, int $days = 30): string
    {
        return $this->postJson('/api/profile/tokens', ['name' => 'Logger', 'scopes' => $scopes, 'days' => $days])
            ->assertCreated()
            ->json('data.token');
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function with(string $token, string $method, string $path, array $body = []): TestResponse
    {
        $this->app['auth']->forgetGuards();

        return $this->json($method, $path, $body, ['Authorization' => "Bearer {$token}"]);
    }

    /** @return array<string, mixed> */
    private static function sown(string $key): array
    {
        $line = ['act' => 'sown', 'on' => '2012-04-12', 'crop' => 'radish', 'garden' => 'School', 'bed' => 'Bed 3', 'written_at' => 1];

        return ['sent_at' => 2, 'by' => 'desk', 'entries' => [['key' => $key] + $line]];
    }

    public function test_a_token_is_shown_once_and_reads_what_it_was_made_for(): void
    {
        config(['anthesis.today' => '2012-05-10']);
        $token = $this->token(['read-zones']);
        self::assertStringContainsString('|anthesis_', $token);
        $listed = $this->getJson('/api/profile/tokens')->assertOk()->json('data.0');
        self::assertSame(['Logger', ['read-zones'], null], [$listed['name'], $listed['scopes'], $listed['used']]);
        self::assertStringNotContainsString(explode('|', $token)[1], (string) Token::query()->get()->makeVisible('token'));
        $this->with($token, 'GET', '/api/programs/zones')->assertOk()->assertJsonPath('data.0.slug', 'test-basin');
        foreach (['', '/today', '/windows', '/windows/radish'] as $path) {
            $this->with($token, 'GET', "/api/programs/zones/test-basin{$path}")->assertOk();
        }
        $this->with($token, 'GET', '/api/programs/zones/nowhere')->assertNotFound();
        $this->with($token, 'POST', '/api/programs/zones/test-basin/log-entries', self::sown('by-a-reader-1'))
            ->assertForbidden()
            ->assertJsonPath('message', 'This token may not do that. Make one that may in your profile.');
        self::assertSame(0, LogEntry::query()->count());
        self::assertNotNull(Token::query()->sole()->last_used_at);
    }

    public function test_a_log_token_writes_in_the_name_of_its_person_and_reads_nothing(): void
    {
        $token = $this->token(['write-log']);
        $this->with($token, 'POST', '/api/programs/zones/test-basin/log-entries', self::sown('by-a-program'))
            ->assertOk()
            ->assertJsonPath('data.refused', []);
        self::assertSame($this->person->id, LogEntry::query()->sole()->user_id);
        $this->with($token, 'GET', '/api/programs/zones')->assertForbidden();
        $this->with($token, 'POST', '/api/programs/zones/test-basin/soil-readings', [])->assertForbidden();
        $this->with($this->token(['report-readings']), 'POST', '/api/programs/zones/test-basin/soil-readings', [])
            ->assertUnprocessable();
    }

    public function test_a_token_is_no_log_in_and_a_log_in_is_no_token(): void
    {
        $token = $this->token(['read-zones', 'write-log', 'report-readings']);
        $this->getJson('/api/programs/zones')->assertUnauthorized();
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        foreach (['/api/zones', '/api/profile/tokens', '/api/people', '/api/changes'] as $path) {
            $this->with($token, 'GET', $path)->assertUnauthorized();
        }
        $this->with('1|anthesis_wrong', 'GET', '/api/programs/zones')->assertUnauthorized();
    }

    public function test_a_token_ends_with_its_days_by_hand_and_with_its_person(): void
    {
        $token = $this->token(['read-zones'], 30);
        $reads = fn (string $token): TestResponse => $this->with($token, 'GET', '/api/programs/zones');
        $this->travel(29)->days();
        $reads($token)->assertOk();
        $this->travel(2)->days();
        $reads($token)->assertUnauthorized();
        $this->travelBack();
        $other = $this->person(Role::Volunteer);
        $id = Token::query()->sole()->id;
        $this->actingAs($other)->deleteJson("/api/profile/tokens/{$id}")->assertNotFound();
        $this->actingAs($this->person)->deleteJson("/api/profile/tokens/{$id}")->assertOk()->assertJsonPath('data', []);
        $reads($token)->assertUnauthorized();
        $this->actingAs($other)->postJson("/api/profile/tokens/{$id}/restoration")->assertNotFound();
        $this->actingAs($this->person)->postJson("/api/profile/tokens/{$id}/restoration")->assertOk()->assertJsonPath('data.0.id', $id);
        $reads($token)->assertOk();
        $this->actingAs($this->person)->deleteJson("/api/profile/tokens/{$id}")->assertOk();
        $this->travel(61)->minutes();
        $this->postJson("/api/profile/tokens/{$id}/restoration")->assertNotFound();
        $this->travelBack();
        self::assertSame(
            ['token-made', 'token-ended', 'token-restored', 'token-ended'],
            Change::query()->where('act', 'like', 'token-%')->orderBy('id')->pluck('act')->all(),
        );
        $second = $this->actingAs($this->person)->token(['read-zones']);
        $this->person->memberships()->update(['deactivated_at' => now()]);
        $reads($second)->assertUnauthorized();
        $this->person->memberships()->update(['deactivated_at' => null]);
        $reads($second)->assertOk();
        $this->actingAs($this->person(Role::Administrator))
            ->deleteJson("/api/people/{$this->person->id}", ['keep_name' => true])
            ->assertNoContent();
        self::assertSame(0, Token::query()->withTrashed()->count());
    }

    public function test_what_a_token_may_do_and_how_long_has_to_be_said(): void
    {
        $make = fn (mixed $scopes, mixed $days): TestResponse => $this->postJson('/api/profile/tokens', [
            'name' => 'x',
            'scopes' => $scopes,
            'days' => $days,
        ]);
        $make([], 30)->assertUnprocessable()->assertJsonPath('errors.scopes.0', 'Choose what the program may do.');
        $make(['everything'], 30)->assertUnprocessable();
        $make(['read-zones'], 4000)->assertUnprocessable();
        self::assertSame(0, Token::query()->withTrashed()->count());
    }
}
