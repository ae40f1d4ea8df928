<?php

declare(strict_types=1);

namespace App\Crops;

use Anthesis\Crop\Crop as CropParameters;
use Anthesis\Crop\CropSchema;
use Anthesis\Tables\CropCsv;
use App\Operations\OfOffice;
use App\People\Versioned;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A crop of the crop book: the cells of its row in the crop table.
 *
 * @property int $id
 * @property int $office_id
 * @property string $slug
 * @property int $position
 * @property array<string, string> $cells one for every column of CropSchema
 * @property Carbon $updated_at
 * @property-read Collection<int, CropRevision> $revisions
 * @property-read Collection<int, Variety> $varieties
 */
class Crop extends Model
{
    use OfOffice;
    use Versioned;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['version' => 'integer'];

    /** @return Attribute<array<string, string>, array<string, string>> a row saved before a column existed has its default */
    protected function cells(): Attribute
    {
        return Attribute::make(
            get: static fn (string $json): array => CropSchema::complete((array) json_decode($json, true)),
            set: static fn (array $cells): string => json_encode($cells, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
        );
    }

    public function getRouteKeyName(): string
    {
        return 'slug';
    }

    /** @return HasMany<CropRevision, $this> latest first */
    public function revisions(): HasMany
    {
        $revisions = $this->hasMany(CropRevision::class);
        $revisions->orderByDesc('id');

        return $revisions;
    }

    /** @return HasMany<Variety, $this> */
    public function varieties(): HasMany
    {
        $varieties = $this->hasMany(Variety::class);
        $varieties->orderBy('id');

        return $varieties;
    }

    /** @return array<string, string> */
    public function editedFields(): array
    {
        return $this->cells;
    }

    public function toCore(): CropParameters
    {
        return CropCsv::crop($this->cells);
    }

    /** @return list<self> in the order of the book */
    public static function inOrder(): array
    {
        return array_values(self::query()->get()->sortBy('position')->all());
    }

    /** @return list<CropParameters> all crops, in the order of the book */
    public static function book(): array
    {
        return array_map(static fn (self $c): CropParameters => $c->toCore(), self::inOrder());
    }
}
