<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\PublishEdition;
use App\Http\Resources\EditionResource;
use App\Models\Edition;
use App\Models\Zone;
use App\Support\ZoneWindows;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

class EditionController
{
    public function index(Zone $zone): AnonymousResourceCollection
    {
        return EditionResource::collection(Edition::query()->with('zone')->select(EditionResource::COLUMNS)
            ->where('zone_id', $zone->id)->orderByDesc('number')->get());
    }

    public function store(Request $request, Zone $zone, PublishEdition $publish): JsonResponse
    {
        Gate::authorize('publish', $zone);
        $note = $request->validate(['note' => ['required', 'string', 'max:1000']],
            ['note.required' => 'Say in a sentence what this edition is, or what changed.'])['note'];
        $windows = ZoneWindows::of($zone)
            ?? throw ValidationException::withMessages(['zone' => 'There is nothing to publish yet. Bring a station file first.']);
        $edition = $publish->execute($zone, $windows, $note, $request->user());

        return (new EditionResource($edition))->response()->setStatusCode(201);
    }
}
