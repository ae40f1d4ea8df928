<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\OfficeInUse;
use App\Zones\Zone;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * The office a request is for, among those open to the person: the one of the zone in its address, so a phone or a link reaches its zone
 * whatever the desk shows; otherwise the one chosen at the desk, or the first they joined. A token is good in one office.
 */
final class OfficeOfPerson
{
    /** The session's key for the chosen office. */
    private const KEY = 'office';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        abort_unless(
            $user instanceof User && self::enter($request, $user),
            403,
            'No office is open to you any longer. Ask your administrator.',
        );

        return $next($request);
    }

    /** @return bool whether there is one */
    public static function enter(Request $request, User $user): bool
    {
        $open = Membership::openTo($user)->get();
        if ($request->bearerToken() !== null && ! $request->hasSession()) {
            $chosen = $open->firstWhere('office_id', $user->currentAccessToken()->getAttribute('office_id'));
        } else {
            $asked = self::ofZone($request, array_values($open->pluck('office_id')->all()));
            $asked ??= $request->hasSession() ? $request->session()->get(self::KEY) : null;
            $chosen = $open->firstWhere('office_id', $asked) ?? $open->first();
        }
        if ($user->removed_at !== null || $chosen === null) {
            return false;
        }
        OfficeInUse::enter($chosen->office_id);
        $user->setRelation('membership', $chosen);

        return true;
    }

    public static function choose(Request $request, User $user, int $office): void
    {
        $request->session()->put(self::KEY, $office);
        self::enter($request, $user);
    }

    /**
     * @param  list<int>  $open
     * @return int|null null: the address names no zone of theirs
     */
    private static function ofZone(Request $request, array $open): ?int
    {
        $zone = $request->route('zone');

        return ! is_string($zone)
            ? null
            : OfficeInUse::everywhere(
                static fn (): ?int => Zone::query()->where('slug', $zone)->whereIn('office_id', $open)->value('office_id'),
            );
    }
}
