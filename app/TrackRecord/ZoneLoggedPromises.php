<?php

declare(strict_types=1);

namespace App\TrackRecord;

use Anthesis\Calendar\CropSheet;
use Anthesis\Record\YearDay;
use Anthesis\Verification\LoggedCase;
use Anthesis\Verification\LoggedPromises;
use Anthesis\Window\SowingWindow;
use App\Editions\Edition;
use App\Log\Sowing;
use App\Windows\ZoneWindows;
use App\Zones\Zone;

/**
 * How the plantings in a zone's log turned out, beside the windows that were current when they were made; before the first edition, beside
 * today's.
 *
 * @phpstan-import-type Sheet from CropSheet
 */
final class ZoneLoggedPromises
{
    /** @var array<int, array<string, Sheet>> by edition, by crop */
    private array $editions = [];

    /** @return array{in_force: array<string, mixed>, before: array<string, mixed>} as LoggedPromises has them */
    public function of(Zone $zone): array
    {
        $editions = Edition::query()
            ->select(Edition::TOLD)
            ->where('zone_id', $zone->id)
            ->whereNotNull('in_force_at')
            ->orderBy('in_force_at')
            ->get();
        $today = array_column(ZoneWindows::of($zone)?->sheets() ?? [], null, 'slug');
        $cases = ['in_force' => [], 'before' => []];
        $sowings = Sowing::query()->where('zone_id', $zone->id)->where('taken_back', false)->with('crop')->lazyById(500);
        foreach ($sowings as $sowing) {
            $on = $sowing->inGroundOn();
            if ($on === null) {
                continue;
            }
            $edition = $editions->last(static fn (Edition $e): bool => $e->in_force_at?->format('Y-m-d') <= $on->iso());
            $sheet = ($edition === null ? $today : $this->sheets($edition))[$sowing->crop->slug] ?? null;
            $route = array_column($sheet['routes'] ?? [], null, 'route')[$sowing->route()->value] ?? null;
            if ($route !== null) {
                $cases[$edition === null ? 'before' : 'in_force'][] = new LoggedCase(
                    $on,
                    self::windows($route['windows']),
                    self::windows($route['harvests']),
                    Sowing::dayOf($sowing->first_picked_on),
                    $sowing->cause,
                );
            }
        }

        return array_map(static function (array $own): array {
            $told = LoggedPromises::of($own);
            foreach (['inside', 'outside'] as $side) {
                // An object in JSON, with or without causes.
                $told[$side]['causes'] = (object) $told[$side]['causes'];
            }

            return $told;
        }, $cases);
    }

    /** @return array<string, Sheet> by crop */
    private function sheets(Edition $told): array
    {
        return $this->editions[$told->id] ??= array_column(
            Edition::query()->findOrFail($told->id)->open()->content['crops'],
            null,
            'slug',
        );
    }

    /**
     * @param  list<array{first: string, last: string, ...}>  $spans
     * @return list<SowingWindow>
     */
    private static function windows(array $spans): array
    {
        return array_map(
            static fn (array $s): SowingWindow => new SowingWindow(YearDay::fromIso($s['first']), YearDay::fromIso($s['last'])),
            $spans,
        );
    }
}
