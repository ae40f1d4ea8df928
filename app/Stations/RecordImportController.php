<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Tables\FormatError;
use App\Operations\FileStore;
use App\Zones\ComputationResource;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

class RecordImportController
{
    public function index(Zone $zone): AnonymousResourceCollection
    {
        $imports = RecordImport::query()
            ->with(['user', 'station', 'record'])
            ->whereRelation('station', 'zone_id', $zone->id)
            ->latest('id')
            ->get();

        return RecordImportResource::collection($imports);
    }

    public function store(StationFileRequest $request, Zone $zone, KeepStationFile $keep): JsonResponse
    {
        try {
            // Nothing is kept of a file that cannot be used, so it is read once before it is queued.
            $station = $request->toStation();
            $file = StationFile::read(
                $request->stationFile()->getRealPath(),
                $zone->today(),
                $request->choices(),
                $station?->record,
            );
        } catch (FormatError $error) {
            throw new FileRefused($error);
        }
        if ($file->isDoubtful() && ! $request->isConfirmed()) {
            throw ValidationException::withMessages([
                'confirmed' => 'Most of its days contradict each other or the record in use. Check that it belongs to this station and is in this unit, then confirm that.',
            ]);
        }
        $computation = $keep->execute(
            $zone,
            $station,
            $request->stationFile(),
            $request->choices(),
            $request->user(),
            $request->newStation(),
            $request->key(),
        );

        return (new ComputationResource($computation))->response()->setStatusCode(202);
    }

    public function use(RecordImport $import, ActivateImport $use, Request $request): JsonResponse
    {
        Gate::authorize('update', $import->station->zone);
        $record =
            $import->record ??
            throw ValidationException::withMessages([
                'import' => 'This file was never imported, so there is no record to go back to.',
            ]);

        return (new ComputationResource($use->execute($import, $record, $request->user())))->response()->setStatusCode(202);
    }

    /** The file exactly as it was uploaded. */
    public function original(RecordImport $import): BinaryFileResponse
    {
        $originals = FileStore::on('originals');
        abort_unless(
            $originals->has($import->checksum),
            404,
            "The file “{$import->file}” is no longer in storage. Restore it from a backup, or upload it again.",
        );
        abort_unless(
            $originals->isWhole($import->checksum),
            404,
            "The stored copy of “{$import->file}” is damaged. Restore it from a backup, or upload it again.",
        );

        $response = response()->download($originals->path($import->checksum), self::safeName($import->file), [
            'Content-Type' => 'application/octet-stream',
        ]);
        // A download is public by default; this one is for people who are logged in.
        $response->setPrivate();
        $response->headers->addCacheControlDirective('no-store');

        return $response;
    }

    /** A name that can be used in a header. */
    private static function safeName(string $name): string
    {
        $safe = trim((string) preg_replace('/[^\pL\pN._ -]+/u', '_', mb_scrub($name, 'UTF-8')), '. ');

        return $safe === '' ? 'station-file' : $safe;
    }
}
