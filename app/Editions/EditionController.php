<?php

declare(strict_types=1);

namespace App\Editions;

use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

class EditionController
{
    public function index(Zone $zone): AnonymousResourceCollection
    {
        return EditionResource::collection(Edition::query()->with('zone')->select(Edition::TOLD)
            ->where('zone_id', $zone->id)->orderByDesc('number')->get());
    }

    public function store(Request $request, Zone $zone, PublishEdition $publish): JsonResponse
    {
        Gate::authorize('publish', $zone);
        $asked = $request->validate([
            'note' => ['required', 'string', 'max:1000'],
            'key' => ['required', 'string', 'min:8', 'max:64', 'regex:/^[A-Za-z0-9-]+$/'],
            'even_unchanged' => ['nullable', 'boolean'],
        ], [
            'note.required' => 'Say in a sentence what this edition is, or what changed.',
            'key.required' => 'Send a key of your own with it (“key”), so that the same request is not carried out twice.',
        ]);
        try {
            $publication = $publish->execute($zone, $asked['note'], $asked['key'], $request->user(), (bool) ($asked['even_unchanged'] ?? false));
        } catch (CannotPublish $why) {
            throw ValidationException::withMessages([$why->field => $why->getMessage()]);
        }

        return (new PublicationResource($publication->asItStands()))->response()->setStatusCode(202);
    }

    public function publication(Publication $publication): PublicationResource
    {
        return new PublicationResource($publication->asItStands());
    }
}
