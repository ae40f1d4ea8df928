<?php

declare(strict_types=1);

namespace App\Zones;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

class BoundaryController
{
    private const MOST_KIB = 4096;

    private const KEY = '/^[A-Za-z0-9-]{8,64}$/';

    public function index(): AnonymousResourceCollection
    {
        $boundaries = ZoneBoundary::byZone();
        $outlines = Zone::query()
            ->orderBy('name')
            ->get()
            ->map(static fn (Zone $zone): array => ['zone' => $zone, 'boundary' => $boundaries[$zone->id] ?? null]);

        return ZoneOutlineResource::collection($outlines);
    }

    public function store(Request $request, SaveBoundaries $save): AnonymousResourceCollection
    {
        Gate::authorize('create', Zone::class);
        $request->validate(
            ['file' => ['required', 'file', 'max:'.self::MOST_KIB], 'key' => ['required', 'string', 'regex:'.self::KEY]],
            [
                'key.required' => 'Send your own key (“key”) so the same request is not carried out twice.',
                'file.required' => 'Choose a GeoJSON file.',
                'file.max' => 'The file is larger than 4 MiB. Simplify the boundaries before you export them.',
            ],
        );
        try {
            $save->execute((string) $request->file('file')?->get(), $request->string('key')->value(), $request->user() ?? abort(401));
        } catch (BoundaryRefused $why) {
            throw ValidationException::withMessages(['file' => $why->getMessage()]);
        }

        return $this->index();
    }

    public function destroy(Request $request, string $upload, SaveBoundaries $save): AnonymousResourceCollection
    {
        Gate::authorize('create', Zone::class);
        try {
            $save->undo($upload, $request->user() ?? abort(401));
        } catch (BoundaryRefused $why) {
            abort(409, $why->getMessage());
        }

        return $this->index();
    }
}
