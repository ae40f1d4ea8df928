<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Exchange\FormatError;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** Where a station's device sends its days. */
class StationReportController
{
    private const LARGEST = 256 * 1024;

    public function store(Request $request, TakeReport $take): JsonResponse
    {
        $device = StationDevice::bearing($request->bearerToken()) ?? abort(401, 'The token is not known here. Send “Authorization: Bearer …” with the one the device was given.');
        $text = $request->getContent();
        if ($text === '' || strlen($text) > self::LARGEST) {
            throw ValidationException::withMessages(['report' => 'Send the days as a table, a row a day, of at most 256 KiB.']);
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'report');
        try {
            file_put_contents($path, $text);
            $file = $take->ofDevice($device, $path);
        } catch (FormatError $error) {
            throw new FileRefused($error);
        } finally {
            unlink($path);
        }

        return response()->json(['data' => ['rows' => $file->reading->rows, 'refused' => $file->reading->refusedCount,
            'first' => $file->reading->asRead->first->iso(), 'last' => $file->reading->asRead->last()->iso()]], 202);
    }
}
