<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Zones\NearZones;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * The zone at a position, `?at=46.80,-98.20&height=410`: a browser sends it rounded, and only when its reader asks it to. Nothing of it is
 * kept: the answer is not cached, and the web server logs no addresses.
 */
class FindController
{
    private const SHOWN = 3;

    public function __invoke(Request $request, PageRenderer $renderer): Response
    {
        $reading = Reading::of($request);
        $known =
            preg_match('/^\s*(-?\d{1,2}(?:\.\d+)?)\s*,\s*(-?\d{1,3}(?:\.\d+)?)\s*$/', $request->string('at')->toString(), $at) === 1 &&
            abs((float) $at[1]) <= 90 &&
            abs((float) $at[2]) <= 180;
        $height = $request->string('height')->trim()->toString();
        $heightM = preg_match('/^-?\d{1,4}$/', $height) === 1 ? (int) $height : null;
        if ($heightM !== null && $request->string('unit')->toString() === 'ft') {
            $heightM = (int) round($heightM * 0.3048);
        }
        $near = $known ? NearZones::of(PublicSite::zones(), (float) $at[1], (float) $at[2], $heightM) : [];
        $page = new Page(
            'find',
            null,
            [
                'known' => $known,
                'at' => $known ? "{$at[1]},{$at[2]}" : '',
                'height_m' => $heightM,
                'between' => NearZones::isBetween($near),
                'near' => array_map(
                    static fn (array $n): array => [
                        'slug' => $n['zone']->slug,
                        'name' => $n['zone']->name,
                        'inside' => $n['inside'],
                        'km' => (int) round($n['km']),
                        'height_m' => $n['height_m'],
                    ],
                    array_slice($near, 0, self::SHOWN),
                ),
            ],
            $reading->say('page.find.title'),
            $reading->say('page.find.title'),
            null,
            $reading,
        );

        return $renderer->respond($page, 'no-store', ['X-Robots-Tag' => 'noindex']);
    }
}
