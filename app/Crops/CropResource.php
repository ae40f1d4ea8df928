<?php

declare(strict_types=1);

namespace App\Crops;

use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Tables\CropCsv;
use Anthesis\Tables\CropSources;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Crop $resource */
class CropResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $crop = $this->resource;
        $parameters = $crop->toCore();
        $maturity = new Maturity($parameters);

        return [
            'slug' => $crop->slug,
            'version' => $crop->version,
            'cells' => $crop->cells,
            'numbers' => (object) $this->numbers(),
            'days' => array_map(
                static fn (Route $r): array => [
                    'route' => $r->value,
                    'days' => round($maturity->days($r)),
                    'phrase' => $maturity->phrase($r),
                ],
                $parameters->routes,
            ),
            'varieties' => $crop->varieties
                ->map(
                    static fn (Variety $v): array => [
                        'id' => $v->id,
                        'version' => $v->version,
                        'name' => $v->name,
                        'cells' => (object) $v->cells,
                        'tags' => $v->tags,
                    ],
                )
                ->all(),
            'revisions' => $crop->revisions->take(20)->values()->map($this->revision(...))->all(),
        ];
    }

    /** @return array<string, mixed> a version, and what was changed from it to the next one */
    private function revision(CropRevision $revision, int $i): array
    {
        $next = $i === 0 ? $this->resource->cells : $this->resource->revisions[$i - 1]->cells;

        return [
            'id' => $revision->id,
            'note' => $revision->note,
            'by' => $revision->user->name ?? 'someone no longer here',
            'at' => $revision->created_at->toIso8601String(),
            'changed' => $this->changed($revision->cells, $next),
        ];
    }

    /** @return array<string, array{basis: string, source: string|null, shipped: string|null}> for each number, by column */
    private function numbers(): array
    {
        $crop = $this->resource;
        $shipped = CropCsv::standardRows()[$crop->slug] ?? [];
        $numbers = [];
        foreach (CropSources::shipped()->ofCrop($crop->slug) as $column => [$basis, $source]) {
            // The source of a number that the office changed is the office itself, with its reason in the history below.
            $isShipped = ($shipped[$column] ?? null) === ($crop->cells[$column] ?? '');
            $numbers[$column] = [
                'basis' => $isShipped ? $basis->value : 'office',
                'source' => $isShipped ? $source : null,
                'shipped' => $shipped[$column] ?? null,
            ];
        }

        return $numbers;
    }

    /**
     * @param  array<string, string>  $before
     * @param  array<string, string>  $after
     * @return list<array{column: string, before: string, after: string}>
     */
    private function changed(array $before, array $after): array
    {
        $changed = [];
        foreach ($before as $column => $cell) {
            if (($after[$column] ?? '') !== $cell) {
                $changed[] = ['column' => $column, 'before' => $cell, 'after' => $after[$column] ?? ''];
            }
        }

        return $changed;
    }
}
