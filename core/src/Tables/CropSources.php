<?php

declare(strict_types=1);

namespace Anthesis\Tables;

use Anthesis\Crop\CropColumn;
use Anthesis\Crop\CropSchema;
use Anthesis\Crop\NumberBasis;

/**
 * Where each number of the crop table that ships comes from: core/data/crop-sources.csv (slug, column, basis, source in words) and, for
 * those it does not name, where its column's numbers usually come from.
 */
final class CropSources
{
    /** By part of the form; the columns named first differ from the rest of their part. */
    private const BY_COLUMN = [
        'maturity_days' => NumberBasis::Packet,
        'max_emerge_days' => NumberBasis::Judgment,
        'harvest_days' => NumberBasis::Judgment,
        'min_harvest_days' => NumberBasis::Judgment,
        'ref_c' => NumberBasis::Judgment,
        'young_share' => NumberBasis::Judgment,
        'yield_kg_per_m' => NumberBasis::Table,
        'germination' => NumberBasis::Table,
        'seeds_per_gram' => NumberBasis::Table,
    ];

    private const BY_GROUP = [
        'days' => NumberBasis::Packet,
        'emergence' => NumberBasis::Table,
        'warmth' => NumberBasis::Table,
        'cold-and-heat' => NumberBasis::Judgment,
        'fruit-set' => NumberBasis::Table,
        'starting' => NumberBasis::Packet,
        'water' => NumberBasis::Table,
        'spacing' => NumberBasis::Packet,
    ];

    /** @param  array<string, array<string, array{NumberBasis, string}>>  $named  by slug and column */
    private function __construct(private readonly array $named)
    {
    }

    public static function shipped(): self
    {
        $named = [];
        $stream = fopen(dirname(__DIR__, 2).'/data/crop-sources.csv', 'r') ?: throw FormatError::inFile('crops.shipped-table-missing');
        fgetcsv($stream, null, ',', '"', '');
        while (($row = fgetcsv($stream, null, ',', '"', '')) !== false) {
            [$slug, $column, $basis, $source] = array_map(strval(...), $row) + ['', '', '', ''];
            $named[$slug][$column] = [NumberBasis::from($basis), $source];
        }
        fclose($stream);

        return new self($named);
    }

    /**
     * @return array{NumberBasis, string|null}|null how sure a number is, and where it comes from in words; null: the column holds no numbers
     */
    public function of(string $slug, CropColumn $column): ?array
    {
        if ($column->type !== CropColumn::NUMBER && $column->type !== CropColumn::COUNT) {
            return null;
        }
        $usual = self::BY_COLUMN[$column->name] ?? self::BY_GROUP[$column->group] ?? NumberBasis::Judgment;

        return $this->named[$slug][$column->name] ?? [$usual, null];
    }

    /** @return array<string, array<string, array{NumberBasis, string}>> those named individually, by slug and column */
    public function named(): array
    {
        return $this->named;
    }

    /** @return array<string, array{NumberBasis, string|null}> for each number of a crop, by column */
    public function ofCrop(string $slug): array
    {
        return array_filter(array_map(fn (CropColumn $column): ?array => $this->of($slug, $column), CropSchema::columns()));
    }
}
