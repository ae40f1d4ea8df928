<?php

declare(strict_types=1);

namespace App\Crops;

use Anthesis\Crop\CropColumn;
use Anthesis\Crop\CropSchema;
use Anthesis\Tables\CropCsv;
use Anthesis\Tables\FormatError;
use App\Languages\Translation;
use App\Operations\Answer;
use App\Operations\Say;
use App\People\User;
use App\People\VersionedRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The crop book. */
class CropController
{
    public function index(): AnonymousResourceCollection
    {
        $translations = Translation::byLanguage();
        $entries = array_map(static fn (Crop $crop): array => ['crop' => $crop, 'translations' => $translations], Crop::inOrder());

        return CropEntryResource::collection($entries);
    }

    /** What a crop's cells may hold, by part of the form. */
    public function columns(): AnonymousResourceCollection
    {
        $columns = array_values(array_filter(CropSchema::columns(), static fn (CropColumn $c): bool => $c->name !== 'slug'));
        usort(
            $columns,
            static fn (CropColumn $a, CropColumn $b): int => array_search($a->group, CropSchema::GROUPS, true) <=>
                array_search($b->group, CropSchema::GROUPS, true),
        );

        return CropColumnResource::collection($columns);
    }

    public function show(Crop $crop): CropResource
    {
        return new CropResource($crop->load('revisions.user', 'varieties'));
    }

    public function update(CropRequest $request, Crop $crop, SaveCrops $save): CropResource
    {
        return $this->show($save->edit($crop, $request->cells($crop), $request->note(), VersionedRequest::of($request), $request->user()));
    }

    public function revert(Request $request, Crop $crop, CropRevision $revision, SaveCrops $save): CropResource
    {
        Gate::authorize('update', $crop);
        abort_unless($revision->crop_id === $crop->id, 404, 'This crop has no such version.');
        $note = 'Restored to the version before '.$revision->created_at->format('j F Y, H:i').'.';

        return $this->show($save->edit($crop, $revision->cells, $note, VersionedRequest::of($request), $request->user()));
    }

    /** Imports a crop table: changed crops are changed, new ones added, others stay. All of it or nothing. */
    public function import(Request $request, SaveCrops $save): JsonResponse
    {
        Gate::authorize('create', Crop::class);
        $file = $request->validate(['file' => ['required', 'file', 'max:2048']], ['file.required' => 'Choose a crop table first.'])['file'];
        $stream =
            fopen($file->getRealPath(), 'r') ?:
            throw ValidationException::withMessages(['file' => 'The file cannot be opened. Upload it again.']);
        try {
            $rows = CropCsv::rows($stream);
        } catch (FormatError $error) {
            throw ValidationException::withMessages(['file' => Say::phrase($error->why)]);
        } finally {
            fclose($stream);
        }
        /** @var User $user */
        $user = $request->user();

        return Answer::of($save->execute(
            $rows,
            'From the crop table '.mb_substr(mb_scrub($file->getClientOriginalName()), 0, 100).'.',
            $user,
        ));
    }

    public function csv(): StreamedResponse
    {
        $rows = array_map(static fn (Crop $c): array => $c->cells, Crop::inOrder());

        return response()->streamDownload(
            static function () use ($rows): void {
                echo CropCsv::write($rows);
            },
            'crops.csv',
            ['Content-Type' => 'text/csv; charset=utf-8'],
        );
    }
}
