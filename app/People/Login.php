<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\DatedByToday;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A place where a person is logged in. It ends when they log out there, or when it is ended from elsewhere, no matter where sessions are
 * stored.
 *
 * @property int $id
 * @property int $user_id
 * @property string $device
 * @property Carbon $started_at
 * @property Carbon $seen_at
 * @property Carbon|null $ended_at
 */
class Login extends Model
{
    use DatedByToday;

    public $timestamps = false;

    private const SEEN_AFTER_MIN = 5;

    private const KEPT_DAYS = 90;

    private const BROWSERS = ['Edg' => 'Edge', 'Firefox' => 'Firefox', 'Chrome' => 'Chrome', 'Safari' => 'Safari'];

    private const SYSTEMS = [
        'Android' => 'Android',
        'iPhone' => 'iPhone',
        'iPad' => 'iPad',
        'Windows' => 'Windows',
        'Mac OS' => 'Mac',
        'Linux' => 'Linux',
    ];

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['started_at' => 'datetime', 'seen_at' => 'datetime', 'ended_at' => 'datetime'];

    /** @return Builder<self> where somebody is logged in now */
    public static function ofPerson(User $user): Builder
    {
        $open = self::query()->where('user_id', $user->id);
        $open->whereNull('ended_at')->orderByDesc('seen_at');

        return $open;
    }

    /** @return Builder<self> the same, without those whose session expired long ago */
    public static function alive(User $user): Builder
    {
        $alive = self::ofPerson($user);
        $alive->where('seen_at', '>', (new self())->freshTimestamp()->subMinutes((int) config('session.lifetime') + self::SEEN_AFTER_MIN));

        return $alive;
    }

    /** @return string what it is used on, the way a person would say it: "Firefox on Windows" */
    public static function device(string $agent): string
    {
        $find = static function (array $known) use ($agent): ?string {
            foreach ($known as $mark => $name) {
                if (str_contains($agent, (string) $mark)) {
                    return $name;
                }
            }

            return null;
        };
        [$browser, $system] = [$find(self::BROWSERS), $find(self::SYSTEMS)];

        return $browser === null || $system === null ? 'another program' : "{$browser} on {$system}";
    }

    public static function beginOn(string $agent, User $user): self
    {
        $now = (new self())->freshTimestamp();

        return self::query()->create([
            'user_id' => $user->id,
            'device' => self::device($agent),
            'started_at' => $now,
            'seen_at' => $now,
            'ended_at' => null,
        ]);
    }

    /** Forgets those of long ago; each person's latest one tells when they were last seen. */
    public static function forgetOld(): void
    {
        $latest = self::query()->selectRaw('MAX(id)')->groupBy('user_id')->pluck('MAX(id)');
        self::query()
            ->where('seen_at', '<', (new self())->freshTimestamp()->subDays(self::KEPT_DAYS))
            ->whereNotIn('id', $latest)
            ->delete();
    }

    /** Logs the person out there. */
    public function end(): void
    {
        $this->update(['ended_at' => now()]);
    }

    /** Logs a person out everywhere, or everywhere but here. */
    public static function endAll(User $user, ?int $but = null): void
    {
        self::ofPerson($user)
            ->when($but !== null, static fn (Builder $q) => $q->where('id', '!=', $but))
            ->update(['ended_at' => now()]);
    }

    /** Marks it as seen now, to within a few minutes. */
    public function seen(): void
    {
        $now = $this->freshTimestamp();
        if ($this->seen_at->isBefore($now->copy()->subMinutes(self::SEEN_AFTER_MIN))) {
            $this->update(['seen_at' => $now]);
        }
    }
}
