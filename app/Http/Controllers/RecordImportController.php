<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Anthesis\Exchange\FormatError;
use App\Actions\KeepStationFile;
use App\Actions\UseImport;
use App\Http\Requests\StationFileRequest;
use App\Http\Resources\ComputationResource;
use App\Http\Resources\RecordImportResource;
use App\Models\RecordImport;
use App\Models\Zone;
use App\Support\StationFile;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

class RecordImportController
{
    public function index(Zone $zone): AnonymousResourceCollection
    {
        $imports = RecordImport::query()->with(['user', 'station', 'record'])
            ->whereRelation('station', 'zone_id', $zone->id)->latest('id')->get();

        return RecordImportResource::collection($imports);
    }

    public function store(StationFileRequest $request, Zone $zone, KeepStationFile $keep): JsonResponse
    {
        try {
            // Nothing is kept of a file that cannot be taken, so it is read once before it is queued.
            StationFile::read($request->stationFile()->getRealPath(), $request->choices());
        } catch (FormatError $error) {
            throw ValidationException::withMessages(['file' => $error->getMessage()]);
        }
        $computation = $keep->execute($zone, $request->toStation(), $request->stationFile(), $request->choices(), $request->user(), $request->newStation());

        return (new ComputationResource($computation))->response()->setStatusCode(202);
    }

    public function use(RecordImport $import, UseImport $use, Request $request): JsonResponse
    {
        Gate::authorize('update', $import->station->zone);
        $record = $import->record ?? throw ValidationException::withMessages(['import' => 'This file was never imported, so there is no record to go back to.']);

        return (new ComputationResource($use->execute($import, $record, $request->user())))->response()->setStatusCode(202);
    }

    /** The file exactly as it was brought. */
    public function original(RecordImport $import): BinaryFileResponse
    {
        return response()->download(Storage::disk('originals')->path($import->checksum), $import->file, ['Content-Type' => 'application/octet-stream']);
    }
}
