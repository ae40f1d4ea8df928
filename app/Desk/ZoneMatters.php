<?php

declare(strict_types=1);

namespace App\Desk;

use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Words\Phrase;
use App\Editions\Edition;
use App\Editions\Objection;
use App\Ground\ZoneGround;
use App\Log\LogImport;
use App\Log\LogImportState;
use App\People\User;
use App\Stations\ReportedCorrection;
use App\Stations\Station;
use App\Stations\StationDevice;
use App\Trials\TrialPlot;
use App\Zones\ComputationState;
use App\Zones\Zone;

/** What needs attention according to a zone's rows: records, results, editions, beds, plots, tables. */
final readonly class ZoneMatters
{
    /** A station that reports counts as silent after this many days without a value. */
    private const QUIET_DAYS = 2;

    /** Plans are checked this many days ahead. */
    private const AHEAD_DAYS = 365;

    /** A failed table is mentioned for this many days. */
    private const FAILED_DAYS = 7;

    public function __construct(private ZoneGround $ground)
    {
    }

    /**
     * @param  Place|null  $place  the zone's; null without a record
     * @return list<Matter> those that the person can do something about
     */
    public function of(Zone $zone, User $user, Day $today, ?Place $place): array
    {
        return array_values(
            array_filter([
                self::plots($zone, $today),
                ...$user->can('update', $zone)
                    ? [
                        self::record($zone),
                        self::quiet($zone, $today),
                        self::doubts($zone),
                        self::corrections($zone),
                        self::results($zone),
                    ]
                    : [],
                $user->can('sign', $zone) ? self::signature($zone, $user) : null,
                ...$user->can('publish', $zone) ? [self::comments($zone), self::unpublished($zone)] : [],
                $this->conflicts($zone, $today, $place),
                self::tables($zone, $user),
            ]),
        );
    }

    private static function plots(Zone $zone, Day $today): ?Matter
    {
        $due = TrialPlot::due($zone, $today)->count();

        return $due === 0 ? null : new Matter('plots', Urgency::ThisWeek, $zone, Phrase::of('attention.plots', ['plots' => $due]));
    }

    private static function record(Zone $zone): ?Matter
    {
        $has = $zone->stations->contains(static fn (Station $s): bool => $s->record !== null);

        return $has ? null : self::toDecide('no-record', $zone);
    }

    private static function quiet(Zone $zone, Day $today): ?Matter
    {
        $reporting = StationDevice::query()
            ->whereIn('station_id', $zone->stations->modelKeys())
            ->with('station.record:id,station_id,last_day')
            ->get();
        foreach ($reporting as $device) {
            $last = $device->station->record?->last_day->format('Y-m-d');
            $days = $last === null ? 0 : $today->number - Day::fromIso($last)->number;
            if ($days > self::QUIET_DAYS) {
                return self::toDecide('quiet', $zone, ['device' => $device->name, 'days' => $days], $last);
            }
        }

        return null;
    }

    private static function doubts(Zone $zone): ?Matter
    {
        $doubts = Station::usedBy($zone)->with('decisions')->get()->sum(static fn (Station $s): int => $s->openDoubts());

        return $doubts === 0 ? null : self::toDecide('doubts', $zone, ['values' => $doubts]);
    }

    private static function corrections(Zone $zone): ?Matter
    {
        $open = ReportedCorrection::query()->whereIn('station_id', $zone->stations->modelKeys())->whereNull('decided_at');
        $values = $open->count();

        return $values === 0
            ? null
            : self::toDecide('corrections', $zone, ['values' => $values], (string) $open->max('created_at'));
    }

    private static function results(Zone $zone): ?Matter
    {
        $latest = $zone->latestComputation;

        return match ($zone->isStale() ? $latest?->state : null) {
            ComputationState::Failed => self::toDecide('failed', $zone, ['why' => (string) $latest?->error]),
            ComputationState::Cancelled => self::toDecide('canceled', $zone),
            default => null,
        };
    }

    private static function signature(Zone $zone, User $user): ?Matter
    {
        $waits = Edition::query()
            ->where('zone_id', $zone->id)
            ->where('needs_signature', true)
            ->whereNull('signed_at')
            ->whereNull('withdrawn_on')
            ->latest('number')
            ->first(['number', 'published_on', 'published_by']);

        return $waits === null
            ? null
            : self::toDecide(
                $waits->published_by === $user->name ? 'signature-of-another' : 'signature',
                $zone,
                ['number' => $waits->number],
                $waits->published_on->format('Y-m-d'),
            );
    }

    private static function comments(Zone $zone): ?Matter
    {
        $open = Objection::toDraftOf($zone)
            ->whereNull('answered_at')
            ->get(['created_at']);

        return $open->isEmpty()
            ? null
            : self::toDecide('comments', $zone, ['comments' => $open->count()], (string) $open->max('created_at'));
    }

    private static function unpublished(Zone $zone): ?Matter
    {
        return $zone->currentEdition === null && $zone->currentComputation !== null ? self::toDecide('unpublished', $zone) : null;
    }

    private function conflicts(Zone $zone, Day $today, ?Place $place): ?Matter
    {
        $count = 0;
        $parts = [];
        foreach ($this->ground->of($zone, $today, $today, $today->plus(self::AHEAD_DAYS), null, $place)['beds'] as $bed) {
            if ($bed['conflicts'] !== []) {
                $count += count($bed['conflicts']);
                $parts[] = Phrase::of('verbatim', ['text' => trim("{$bed['garden']} {$bed['name']}")]);
            }
        }

        return $count === 0
            ? null
            : new Matter('conflicts', Urgency::ToDecide, $zone, Phrase::of('attention.conflicts', ['conflicts' => $count]), $parts);
    }

    private static function tables(Zone $zone, User $user): ?Matter
    {
        $failed = LogImport::query()
            ->where('zone_id', $zone->id)
            ->where('user_id', $user->id)
            ->where('created_at', '>', now()->subDays(self::FAILED_DAYS))
            ->latest('id')
            ->first();

        return $failed?->state === LogImportState::Failed
            ? self::toDecide('table', $zone, ['file' => $failed->file], $failed->created_at->format('Y-m-d'))
            : null;
    }

    /** @param  array<string, int|string>  $with */
    private static function toDecide(string $kind, Zone $zone, array $with = [], ?string $since = null): Matter
    {
        $since = $since === null || $since === '' ? null : substr($since, 0, 10);

        return new Matter($kind, Urgency::ToDecide, $zone, Phrase::of("attention.{$kind}", $with), [], $since);
    }
}
