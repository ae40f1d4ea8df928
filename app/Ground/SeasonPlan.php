<?php

declare(strict_types=1);

namespace App\Ground;

use Anthesis\Ground\Bed as CoreBed;
use Anthesis\Ground\Occupancy;
use Anthesis\Ground\Placement;
use Anthesis\Ground\SeasonPlanner;
use Anthesis\Ground\Wish;
use Anthesis\Record\Day;
use App\Zones\Zone;

/** A season's plan as it is proposed, and not saved: what is locked, growing, or finished stays, and everything else is planned again. */
final readonly class SeasonPlan
{
    public function __construct(private ZoneGround $ground)
    {
    }

    /**
     * @param  list<int>  $beds  ids
     * @param  list<array{key: string, crop: string, variety: string|null, metres: float}>  $wishes
     * @return array{placed: list<array<string, mixed>>, not_placed: list<array{key: string, reason: string}>, replaces: list<array{id: int, version: int}>}
     */
    public function propose(Zone $zone, GrowingHere $here, Day $today, array $beds, array $wishes, Day $from, Day $to): array
    {
        $cores = $replaces = [];
        foreach ($this->ground->beds($zone, $here, $today, $from, $to->plus(365)) as ['bed' => $bed, 'core' => $core, 'told' => $told]) {
            if (! in_array($bed->id, $beds, true)) {
                continue;
            }
            $anew = self::anew($told, $from, $to);
            foreach ($anew as $stay) {
                $replaces[] = ['id' => (int) $stay['planting'], 'version' => (int) $stay['version']];
            }
            $cores[] = new CoreBed(
                $core->key,
                $core->length,
                array_values(array_filter($core->stays, static fn (Occupancy $s): bool => ! isset($anew[$s->key]))),
            );
        }
        $asked = array_map(
            static fn (array $w): Wish => new Wish($w['key'], $here->waysOf($w['crop'], $w['variety']), $w['metres']),
            $wishes,
        );
        $start = $from->isBefore($today) ? $today : $from;
        $placed = $not = [];
        foreach (SeasonPlanner::plan($cores, $asked, $start, $to) as $placement) {
            if ($placement->bed === null || $placement->candidate === null || $placement->on === null || $placement->to === null) {
                $not[] = ['key' => $placement->wish->key, 'reason' => $placement->reason];
            } else {
                $placed[] = $this->told($placement, $placement->candidate->days->firstHarvest($placement->on)?->iso());
            }
        }

        return ['placed' => $placed, 'not_placed' => $not, 'replaces' => $replaces];
    }

    /**
     * @param  list<array<string, mixed>>  $told  of a bed
     * @return array<string, array<string, mixed>> what is planned to start in this time, unless it is pinned, by key
     */
    private static function anew(array $told, Day $from, Day $to): array
    {
        $isAnew = static fn (array $t): bool => $t['kind'] === 'planned' &&
            ! $t['pinned'] &&
            $t['from'] >= $from->iso() &&
            $t['from'] <= $to->iso();

        return array_column(array_filter($told, $isAnew), null, 'key');
    }

    /** @return array<string, mixed> */
    private function told(Placement $placement, ?string $first): array
    {
        return [
            'key' => $placement->wish->key,
            'bed' => (int) $placement->bed?->key,
            'crop' => $placement->candidate?->crop->slug,
            'name' => $placement->candidate?->crop->name,
            'variety' => $placement->candidate?->variety,
            'route' => $placement->candidate?->route->value,
            'on' => $placement->on?->iso(),
            'first' => $first,
            'to' => $placement->to?->iso(),
            'metres' => $placement->wish->metres,
            'reason' => $placement->reason,
        ];
    }
}
