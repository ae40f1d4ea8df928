<?php

declare(strict_types=1);

namespace App\Sites;

use Anthesis\Record\Latitude;
use Anthesis\Soil\ProbeCalibration;
use Anthesis\Stations\ProbeCsv;
use Anthesis\Words\Refused;
use App\Operations\Say;
use App\Stations\ZoneRecord;
use App\Zones\Zone;
use Illuminate\Validation\ValidationException;

/** A site's soil model compared with readings. Nothing is saved here; the result can be saved as a site. */
class CalibrationController
{
    public function store(CalibrationRequest $request, Zone $zone): CalibrationResource
    {
        $record =
            ZoneRecord::of($zone) ??
            throw ValidationException::withMessages(['zone' => 'The zone has no record yet. Upload a station file first.']);
        $stream =
            fopen($request->readings()->getRealPath(), 'r') ?:
            throw ValidationException::withMessages(['file' => 'The file cannot be opened. Upload it again.']);
        try {
            $log = ProbeCsv::read($stream, $zone->today(), $request->unit());
            $depth = $request->depth() ?? $log->depths()[0]['depth'];
            $calibration = ProbeCalibration::of(
                $record->filled->record,
                Latitude::of($zone->latitude),
                $request->site()->toCore(),
                $log->atDepth($depth),
            );
        } catch (Refused $error) {
            throw ValidationException::withMessages(['file' => Say::phrase($error->why)]);
        } finally {
            fclose($stream);
        }

        return new CalibrationResource(['site' => $request->site(), 'depth' => $depth, 'log' => $log, 'calibration' => $calibration]);
    }
}
