<?php

declare(strict_types=1);

namespace App\Sites;

use App\People\VersionedRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

class SiteController
{
    public function index(): AnonymousResourceCollection
    {
        return SiteResource::collection(Site::query()->with('zone')->orderByRaw('zone_id IS NOT NULL, id')->get());
    }

    public function store(SiteRequest $request, SaveSite $save): JsonResponse
    {
        return (new SiteResource($save->add($request->values(), $request->user())))->response()->setStatusCode(201);
    }

    public function update(SiteRequest $request, Site $site, SaveSite $save): SiteResource
    {
        return new SiteResource($save->edit($site, $request->values(), VersionedRequest::of($request), $request->user()));
    }

    public function destroy(Request $request, Site $site, SaveSite $save): Response
    {
        Gate::authorize('update', $site);
        if ($site->preset) {
            throw ValidationException::withMessages([
                'site' => 'Growing sites that come with Anthesis cannot be deleted. Restore their original numbers instead.',
            ]);
        }
        $save->takeOut($site, $request->user());

        return response()->noContent();
    }
}
