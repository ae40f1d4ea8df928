<?php

declare(strict_types=1);

namespace App\Crops;

use Anthesis\Crop\CropSchema;
use Anthesis\Tables\CropCsv;
use Anthesis\Tables\FormatError;
use App\Operations\Say;
use App\People\VersionedRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** Varieties of a crop: their own days, and what these count from. */
class VarietyController
{
    public function store(Request $request, Crop $crop, SaveVariety $save): JsonResponse
    {
        $save->add($crop, $this->values($request, $crop, null), $request->user());

        return (new CropResource($crop->load('revisions.user', 'varieties')))->response()->setStatusCode(201);
    }

    public function update(Request $request, Crop $crop, Variety $variety, SaveVariety $save): CropResource
    {
        $save->edit($variety, $this->values($request, $crop, $variety), VersionedRequest::of($request), $request->user());

        return new CropResource($crop->load('revisions.user', 'varieties'));
    }

    public function destroy(Request $request, Crop $crop, Variety $variety, SaveVariety $save): CropResource
    {
        Gate::authorize('update', $crop);
        abort_unless($variety->crop_id === $crop->id, 404, 'This crop has no such variety.');
        $save->takeOut($variety, $request->user());

        return new CropResource($crop->load('revisions.user', 'varieties'));
    }

    /** @return array{name: string, cells: array<string, string>, tags: list<string>} */
    private function values(Request $request, Crop $crop, ?Variety $variety): array
    {
        Gate::authorize('update', $crop);
        abort_if($variety !== null && $variety->crop_id !== $crop->id, 404, 'This crop has no such variety.');
        $values = $request->validate(
            [
                'name' => [
                    'required',
                    'string',
                    'max:60',
                    Rule::unique('varieties')->where('crop_id', $crop->id)->ignore($variety?->id),
                ],
                'cells' => ['present', 'array:'.implode(',', CropSchema::byVariety())],
                'cells.*' => ['nullable', 'string', 'max:20'],
                'tags' => ['present', 'array'],
                'tags.*' => [Rule::in(Variety::TAGS)],
            ],
            ['name.required' => 'A variety needs a name.', 'name.unique' => 'There already is a variety with that name.'],
        );
        $cells = array_filter(
            array_map(static fn (?string $c): string => trim((string) $c), $values['cells']),
            static fn (string $c): bool => $c !== '',
        );
        try {
            CropCsv::crop($cells + $crop->cells);
        } catch (FormatError $error) {
            throw ValidationException::withMessages(['cells.'.$error->column => ucfirst(Say::phrase($error->reason))]);
        }

        return ['name' => $values['name'], 'cells' => $cells, 'tags' => array_values($values['tags'])];
    }
}
