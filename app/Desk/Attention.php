<?php

declare(strict_types=1);

namespace App\Desk;

use Anthesis\Window\ProofStandard;
use Anthesis\Words\Phrase;
use App\People\User;
use App\Results\PlaceOf;
use App\Results\Results;
use App\Season\TodayQuestion;
use App\Season\ZoneToday;
use App\Zones\Zone;
use App\Zones\ZoneResource;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What needs attention in all zones, and how the season is going in each. */
final readonly class Attention
{
    public function __construct(private PlaceOf $places, private ZoneMatters $matters)
    {
    }

    /** @return Collection<int, Zone> all, by name, or one, with what this needs of them */
    public static function zones(?string $slug = null): Collection
    {
        return Zone::query()
            ->with(ZoneResource::RELATIONS)
            ->when($slug !== null, static fn ($q) => $q->where('slug', $slug))
            ->orderBy('name')
            ->get();
    }

    /**
     * @param  Collection<int, Zone>  $zones  as `zones` returns them
     * @param  bool  $figure  whether to figure a season that is not figured yet, which takes seconds per zone
     * @return array{matters: list<Matter>, zones: list<array{zone: string, figured: bool, days_ahead: int|null, frost: bool}>}
     */
    public function of(Collection $zones, User $user, bool $figure): array
    {
        $matters = self::mail($user);
        $told = [];
        foreach ($zones as $zone) {
            $today = $zone->today();
            $place = $this->places->today($zone, $today);
            $hasSeason = $place !== null && ZoneToday::missing($place) === null;
            $sheet = null;
            if ($place !== null && $hasSeason) {
                $question = new TodayQuestion(ProofStandard::from($zone->standard), null);
                $content = $figure ? Results::of($place, $question) : Results::known($place, $question);
                $sheet = $content['sheet'] ?? null;
            }
            $ofSeason = $sheet === null ? [] : SeasonMatters::of($zone, $sheet, $today);
            if ($place !== null && ! $hasSeason && $user->can('update', $zone)) {
                $ofSeason[] = new Matter(
                    'record-ends',
                    Urgency::ToDecide,
                    $zone,
                    Phrase::of('attention.record-ends', [
                        'day' => Phrase::day($place->years->last->yearDay()),
                        'year' => (string) $place->years->last->year(),
                    ]),
                );
            }
            $matters = [...$matters, ...$ofSeason, ...$this->matters->of($zone, $user, $today, $place)];
            $told[] = [
                'zone' => $zone->slug,
                'figured' => ! $hasSeason || $sheet !== null,
                'days_ahead' => $sheet['position']['days_ahead'] ?? null,
                'frost' => array_filter($ofSeason, static fn (Matter $m): bool => $m->kind === 'frost-tonight') !== [],
            ];
        }

        return ['matters' => $matters, 'zones' => $told];
    }

    /** @return list<Matter> mail that could not be sent, for those responsible for it */
    private static function mail(User $user): array
    {
        if (! $user->can('readMail', Zone::class)) {
            return [];
        }
        $failed = DB::table('failed_jobs')->where('payload', 'like', '%Letters%')->where('failed_at', '>', now()->subDays(7));
        $count = $failed->count();

        return $count === 0
            ? []
            : [
                new Matter(
                    'mail',
                    Urgency::ToDecide,
                    null,
                    Phrase::of('attention.mail', ['mails' => $count]),
                    [],
                    substr((string) $failed->max('failed_at'), 0, 10),
                ),
            ];
    }
}
