<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\Latitude;
use Anthesis\Tables\FormatError;
use App\Zones\Zone;

class RecordPreviewController
{
    public function store(StationFileRequest $request, Zone $zone): RecordPreviewResource
    {
        try {
            $file = StationFile::preview(
                $request->stationFile()->getRealPath(),
                $zone->today(),
                $request->choices(),
                $request->toStation()?->record,
            );
        } catch (FormatError $error) {
            throw new FileRefused($error);
        }

        return new RecordPreviewResource($file, $request->stationFile(), Latitude::of($zone->latitude));
    }
}
