<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Log\ZoneUnderWay;
use App\Operations\Say;
use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Labels for what the log says is growing: crop, variety, the day it went in, and when to expect emergence, thinning, and harvest. */
class LabelController
{
    /** Sheets of labels, and the paper each is on. */
    private const SHEETS = ['strips' => PaperSize::A4, 'a4-24' => PaperSize::A4, 'letter-30' => PaperSize::Letter];

    /** The most labels on a requested sheet; the rest are on the next ones. */
    private const MOST = 120;

    public function __invoke(Request $request, Zone $zone, ZoneUnderWay $underWay, PressRoom $press): Response
    {
        $asked = $request->string('sheet')->toString();
        $sheet = isset(self::SHEETS[$asked]) ? $asked : 'strips';
        $sowings = array_slice($underWay->of($zone, $zone->today()), 0, self::MOST);
        abort_if($sowings === [], 404, 'Nothing is growing according to the log, so there is nothing to label. Log a planting first.');
        $labels = array_map(
            static fn (array $s): array => [
                'crop' => $s['name'],
                'variety' => $s['variety'],
                'bed' => $s['bed']['name'] ?? null,
                'on' => $s['days']['set_out'] ?? $s['days']['sown'],
                'act' => $s['days']['set_out'] !== null ? 'set-out' : ($s['under_cover'] ? 'start-under-cover' : 'sow-outdoors'),
                'up' => $s['days']['up'] ?? ($s['goes_on']['up'][1] ?? null),
                'thin' => $s['days']['thinned'] ?? ($s['goes_on']['thin'] ?? null),
                'pick' => $s['days']['first_picked'] ?? ($s['goes_on']['first_pick'][1] ?? null),
            ],
            $sowings,
        );
        $title = Say::key('labels.title', ['zone' => $zone->name]);

        return $press->respond(
            new Page('labels', null, ['sheet' => $sheet, 'labels' => $labels, 'printed' => $zone->today()->iso()], $title, $title),
            self::SHEETS[$sheet],
            "{$zone->slug}-labels.pdf",
            'private, no-store',
        );
    }
}
