<?php

declare(strict_types=1);

namespace Anthesis\Tables;

use Anthesis\Crop\Crop;
use Anthesis\Crop\CropColumn;
use Anthesis\Crop\CropRefused;
use Anthesis\Crop\CropSchema;
use Anthesis\Crop\CropTable;

/** Reads a crop table; docs/crop-table.md describes its columns. */
final class CropCsv
{
    /** @var array<string, array<string, string>> cells by crop and column, as read last */
    private array $cells = [];

    /**
     * The rows of a table as text, each checked.
     *
     * @param  resource  $stream
     * @return array<string, array<string, string>> cells by slug and column
     *
     * @throws FormatError if a column is missing or a cell cannot be used
     */
    public static function rows($stream): array
    {
        $csv = new self();
        $csv->read($stream);

        return $csv->cells;
    }

    /**
     * @param  iterable<array<string, string>>  $rows  cells by column
     * @return string the table as CSV
     */
    public static function write(iterable $rows): string
    {
        $table = [array_keys(CropSchema::columns())];
        foreach ($rows as $cells) {
            $table[] = array_values(CropSchema::complete($cells));
        }

        return CsvText::of($table, "\n");
    }

    /** @return array<string, array<string, string>> the rows of the table that ships */
    public static function standardRows(): array
    {
        $stream = fopen(dirname(__DIR__, 2).'/data/crops.csv', 'r') ?: throw FormatError::inFile('crops.shipped-table-missing');
        try {
            return self::rows($stream);
        } finally {
            fclose($stream);
        }
    }

    /** The table that ships. */
    public static function standard(): CropTable
    {
        return self::fromFile(dirname(__DIR__, 2).'/data/crops.csv');
    }

    /** @throws FormatError if the file cannot be read or a cell cannot be used */
    public static function fromFile(string $path): CropTable
    {
        $stream = is_file($path) || $path === 'php://stdin' ? fopen($path, 'r') : false;
        if ($stream === false) {
            throw FormatError::inFile('crops.no-file', ['path' => $path]);
        }
        try {
            return (new self())->read($stream);
        } finally {
            fclose($stream);
        }
    }

    /**
     * @param  resource  $stream
     *
     * @throws FormatError if a column is missing or a cell cannot be used
     */
    public function read($stream): CropTable
    {
        $heading = fgetcsv($stream, null, ',', '"', '');
        if ($heading === false || $heading === [null]) {
            throw FormatError::inFile('crops.empty');
        }
        $heading[0] = (string) preg_replace('/^\xEF\xBB\xBF/', '', (string) $heading[0]);
        $names = array_map(static fn (?string $n): string => trim((string) $n), $heading);
        $needed = array_filter(CropSchema::columns(), static fn (CropColumn $c): bool => $c->default === null);
        $missing = array_values(array_diff(array_keys($needed), $names));
        if ($missing !== []) {
            throw FormatError::at(1, 'crops.columns-missing', ['count' => count($missing), 'columns' => implode('”, “', $missing)]);
        }
        $crops = [];
        $line = 1;
        $lineOf = [];
        while (($cells = fgetcsv($stream, null, ',', '"', '')) !== false) {
            $line++;
            if ($cells === [null]) {
                continue;
            }
            if (count($cells) !== count($names)) {
                throw FormatError::at($line, 'crops.cells', ['cells' => count($cells), 'columns' => count($names)]);
            }
            $row = array_combine($names, array_map(static fn (?string $c): string => CsvText::bare(trim((string) $c)), $cells));
            $crop = self::crop($row, $line);
            $this->cells[$crop->slug] = CropSchema::complete($row);
            if (isset($lineOf[$crop->slug])) {
                throw FormatError::at($line, 'crops.twice', ['slug' => $crop->slug, 'line' => $lineOf[$crop->slug]], 'slug');
            }
            $lineOf[$crop->slug] = $line;
            $crops[] = $crop;
        }
        if ($crops === []) {
            throw FormatError::inFile('crops.no-crops');
        }

        return new CropTable($crops);
    }

    /**
     * One crop from the cells of its row.
     *
     * @param  array<string, string>  $cells  by column
     *
     * @throws FormatError naming the column
     */
    public static function crop(array $cells, int $line = 1): Crop
    {
        try {
            return CropSchema::crop($cells);
        } catch (CropRefused $refused) {
            throw FormatError::at($line, 'sentence', ['clause' => $refused->why], $refused->column);
        }
    }
}
