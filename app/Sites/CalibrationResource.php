<?php

declare(strict_types=1);

namespace App\Sites;

use Anthesis\Soil\ProbeCalibration;
use Anthesis\Soil\ProbeLog;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property array{site: Site, depth: float, log: ProbeLog, calibration: ProbeCalibration} $resource */
class CalibrationResource extends JsonResource
{
    /** Points to draw; if there are more, evenly spaced ones are chosen. */
    private const MOST = 400;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        ['site' => $site, 'depth' => $depth, 'log' => $log, 'calibration' => $calibration] = $this->resource;
        $step = max(1, (int) ceil(count($calibration->points) / self::MOST));
        $points = [];
        foreach ($calibration->points as $i => $point) {
            if ($i % $step === 0) {
                $points[] = [
                    'date' => $point['day']->iso(),
                    'reading' => round($point['reading'], 2),
                    'before' => round($point['before'], 2),
                    'after' => round($point['after'], 2),
                ];
            }
        }

        return [
            'site' => (new SiteResource($site))->toArray($request),
            'depth' => $depth,
            'depths' => $log->depths(),
            'readings' => count($log->readings),
            'used' => $calibration->used,
            'offset' => round($calibration->offset, 2),
            'rate' => round($calibration->rate, 2),
            'rate_fitted' => $calibration->rateFitted,
            'error_before' => round($calibration->errorBefore, 2),
            'error_after' => round($calibration->errorAfter, 2),
            'points' => $points,
        ];
    }
}
