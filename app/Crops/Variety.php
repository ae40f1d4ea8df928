<?php

declare(strict_types=1);

namespace App\Crops;

use Anthesis\Crop\Crop as CropParameters;
use Anthesis\Tables\CropCsv;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\People\Versioned;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A variety: its crop with its own days, or other cells.
 *
 * @property int $id
 * @property int $crop_id
 * @property string $name
 * @property array<string, string> $cells those that differ from the crop's, of CropSchema::byVariety()
 * @property list<string> $tags
 * @property-read Crop $crop
 */
#[OfficeThrough('crop_id', Crop::class)]
class Variety extends Model
{
    use OfOffice;
    use Versioned;

    /** Traits of varieties. */
    public const TAGS = ['quick', 'heat-proof', 'storage', 'winter', 'long-day', 'intermediate-day', 'short-day'];

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['cells' => 'array', 'tags' => 'array', 'version' => 'integer'];

    /** @return BelongsTo<Crop, $this> */
    public function crop(): BelongsTo
    {
        return $this->belongsTo(Crop::class);
    }

    /** @return array<string, mixed> */
    public function editedFields(): array
    {
        return ['name' => $this->name, 'cells' => $this->cells, 'tags' => $this->tags];
    }

    public function toCore(Crop $crop): CropParameters
    {
        return CropCsv::crop($this->cells + $crop->cells);
    }
}
