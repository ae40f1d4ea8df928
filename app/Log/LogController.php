<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Log\LoggedAct;
use App\Operations\Answer;
use App\Operations\FileStore;
use App\Operations\KeyReused;
use App\Zones\Zone;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\StreamedResponse;

class LogController
{
    /** Entries a phone sends at a time. */
    private const BATCH = 200;

    public function __construct(private readonly ZoneLog $log)
    {
    }

    public function index(Request $request, Zone $zone): JsonResponse
    {
        $lines = $this->log
            ->lines($zone, $this->asked($request))
            ->limit(ZoneLog::PAGE + 1)
            ->get();

        return Answer::of([
            'lines' => LogEntryResource::collection($lines->take(ZoneLog::PAGE)),
            'more' => $lines->count() > ZoneLog::PAGE,
        ]);
    }

    /** What a phone needs to write entries offline. */
    public function book(Request $request, Zone $zone): JsonResponse
    {
        return Answer::of($this->log->book($zone, $zone->today(), $request->user()));
    }

    /** What is growing, and how this season continues for it. */
    public function underWay(Zone $zone, ZoneUnderWay $underWay): JsonResponse
    {
        return Answer::of($underWay->of($zone, $zone->today()));
    }

    /** Which of the growing plantings need water, bed by bed. */
    public function waterDue(Zone $zone, ZoneWaterDue $due): JsonResponse
    {
        return Answer::of($due->of($zone, $zone->today()));
    }

    /** Entries as they were written, in their order. What cannot be accepted comes back with the reason; the rest is saved. */
    public function store(Request $request, Zone $zone, RecordEntry $keep): JsonResponse
    {
        $asked = self::sent($request);
        $now = CarbonImmutable::now();
        $kept = $refused = [];
        foreach ($request->input('entries') as $said) {
            $key = is_string($said['key'] ?? null) ? mb_substr($said['key'], 0, 64) : '';
            try {
                $kept[] = $keep->execute(
                    $zone,
                    $request->user(),
                    LoggedEntry::of($said),
                    $asked['by'],
                    $now->subMilliseconds(max(0, $asked['sent_at'] - (int) $said['written_at'])),
                )->idempotency_key;
            } catch (KeyReused $why) {
                $refused[] = ['key' => $key, 'field' => 'key', 'message' => $why->getMessage()];
            } catch (EntryRefused $why) {
                $refused[] = ['key' => $key, 'field' => $why->field, 'message' => $why->getMessage()];
            }
        }

        return Answer::of([
            'kept' => $kept,
            'refused' => $refused,
            'clock_minutes' => (int) round(($asked['sent_at'] - $now->getTimestampMs()) / 60000),
        ]);
    }

    /** @return array<string, mixed> what was sent beside the entries */
    private static function sent(Request $request): array
    {
        $asked = $request->validate(
            [
                'sent_at' => ['required', 'integer', 'between:0,9999999999999'],
                'by' => ['required', Rule::in(['phone', 'desk'])],
                'written_by' => ['nullable', 'string', 'max:200'],
                'entries' => ['required', 'array', 'list', 'max:'.self::BATCH],
                'entries.*' => ['array'],
                'entries.*.written_at' => ['required', 'integer', 'between:0,9999999999999'],
            ],
            [
                'entries.max' => 'Send at most '.self::BATCH.' lines at a time.',
                'sent_at.required' => 'Send the device’s time (“sent_at”), so the entries keep their own time.',
            ],
        );
        // Two people may share a phone: what one wrote is never saved as the other's.
        if (isset($asked['written_by']) && mb_strtolower($asked['written_by']) !== mb_strtolower($request->user()->email)) {
            abort(
                409,
                "These entries were written by {$asked['written_by']}, and {$request->user()->email} is logged in. Log in as the person who wrote them to send them.",
            );
        }

        return $asked;
    }

    public function storePhoto(Request $request, KeepPhoto $keep): JsonResponse
    {
        $tooLarge = 'The photo is larger than '.KeepPhoto::MOST_MIB.' MiB. Make it smaller, or save the entry without it.';
        $file = $request->validate(
            ['photo' => ['required', 'file', 'max:'.KeepPhoto::MOST_MIB * 1024]],
            [
                'photo.required' => 'Choose a photo first.',
                'photo.file' => 'The photo did not arrive complete. Upload it again.',
                'photo.uploaded' => $tooLarge,
                'photo.max' => $tooLarge,
            ],
        )['photo'];
        try {
            $photo = $keep->execute($file, $request->user());
        } catch (EntryRefused $why) {
            throw ValidationException::withMessages(['photo' => $why->getMessage()]);
        }

        return Answer::of(['photo' => $photo->checksum, 'width' => $photo->width, 'height' => $photo->height], 201);
    }

    public function photo(string $photo): Response
    {
        $photos = FileStore::on(LogPhoto::DISK);

        // The same picture may be there for another office.
        return LogPhoto::query()->where('checksum', $photo)->exists() && $photos->has($photo, '.jpg')
            ? response((string) file_get_contents($photos->path($photo, '.jpg')))->withHeaders([
                'Content-Type' => 'image/jpeg',
                'Cache-Control' => 'private, max-age=31536000, immutable',
            ])
            : abort(404, 'There is no such photo.');
    }

    public function csv(Request $request, Zone $zone): StreamedResponse
    {
        $asked = $this->asked($request);

        return response()->streamDownload(fn () => LogCsv::write($this->log->lines($zone, $asked)), "{$zone->slug}-log.csv", [
            'Content-Type' => 'text/csv; charset=utf-8',
        ]);
    }

    /** Everything the person at the desk has written, in every zone. */
    public function own(Request $request): StreamedResponse
    {
        $lines = LogEntry::query()
            ->where('user_id', $request->user()?->getAuthIdentifier())
            ->with(['zone', 'user', 'crop', 'bed.site', 'sowing'])
            ->orderBy('id');

        return response()->streamDownload(static fn () => LogCsv::write($lines), 'my-log.csv', [
            'Content-Type' => 'text/csv; charset=utf-8',
        ]);
    }

    /** A table of entries: all of them, or none. Its form is checked here, and a worker imports it. */
    public function import(Request $request, Zone $zone, ImportLogFile $import): JsonResponse
    {
        $tooLarge = 'The table is larger than 4 MiB. Upload one year at a time.';
        $file = $request->validate(
            ['file' => ['required', 'file', 'max:4096']],
            ['file.required' => 'Choose a table first.', 'file.max' => $tooLarge, 'file.uploaded' => $tooLarge],
        )['file'];
        try {
            return (new LogImportResource($import->queue($zone, $request->user(), $file)->refresh()))
                ->response()
                ->setStatusCode(202);
        } catch (LogFileRefused $why) {
            throw ValidationException::withMessages(['file' => $why->rows]);
        }
    }

    /** How far along the import of a table is. */
    public function imported(LogImport $logImport): LogImportResource
    {
        return new LogImportResource($logImport);
    }

    /** @return array{crop?: string|null, garden?: string|null, bed?: string|null, act?: string|null, from?: string|null, to?: string|null, after?: string|null} */
    private function asked(Request $request): array
    {
        $day = ['bail', 'nullable', 'string', 'date_format:Y-m-d'];

        return $request->validate(
            [
                'crop' => ['nullable', 'string', 'max:60'],
                'garden' => ['nullable', 'string', 'max:80'],
                'bed' => ['nullable', 'string', 'max:80'],
                'act' => ['nullable', new Enum(LoggedAct::class)],
                'from' => $day,
                'to' => $day,
                'after' => ['nullable', 'string', 'max:40'],
            ],
            ['*.date_format' => 'Enter the day as YYYY-MM-DD.'],
        );
    }
}
