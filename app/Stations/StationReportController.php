<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Tables\FormatError;
use App\Operations\Answer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** Where a station's device sends its days. */
class StationReportController
{
    private const LARGEST = 256 * 1024;

    /** Unknown tokens from one network address in a minute. */
    private const WRONG_TOKENS = 10;

    public function store(Request $request, TakeReport $take): JsonResponse
    {
        $device = $this->device($request);
        $text = $request->getContent();
        if ($text === '' || strlen($text) > self::LARGEST) {
            throw ValidationException::withMessages(['report' => 'Send the days as a table with one row per day, at most 256 KiB.']);
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'report');
        try {
            file_put_contents($path, $text);
            [$file, $waiting] = $take->ofDevice($device, $path);
        } catch (FormatError $error) {
            throw new FileRefused($error);
        } finally {
            unlink($path);
        }

        return Answer::of([
            'rows' => $file->reading->rows,
            'refused' => $file->reading->refusedCount,
            'first' => $file->reading->asRead->first->iso(),
            'last' => $file->reading->asRead->last()->iso(),
            'to_decide' => $waiting,
        ], 202);
    }

    /** The device a token belongs to. Somebody who tries tokens is stopped by their network address, because each try has another token. */
    private function device(Request $request): StationDevice
    {
        $tries = 'wrong-device-token '.$request->ip();
        abort_if(
            RateLimiter::tooManyAttempts($tries, self::WRONG_TOKENS),
            429,
            'Too many unknown tokens were sent from this address. Wait a minute.',
        );
        $device = StationDevice::bearing($request->bearerToken());
        if ($device === null) {
            RateLimiter::hit($tries);
            abort(401, 'The token is not known here. Send “Authorization: Bearer …” with the one the device was given.');
        }

        return $device;
    }
}
