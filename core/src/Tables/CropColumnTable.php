<?php

declare(strict_types=1);

namespace Anthesis\Tables;

use Anthesis\Crop\Caution;
use Anthesis\Crop\CropColumn;
use Anthesis\Crop\CropSchema;
use Anthesis\Messages\Words;

/** The columns of the crop table as a table in Markdown, for docs/crop-table.md. */
final class CropColumnTable
{
    public static function markdown(Words $words): string
    {
        $lines = ['| column | meaning | its cells |', '|---|---|---|'];
        foreach (CropSchema::columns() as $column) {
            $meaning = array_filter([$words->phrase($column->label()), $words->say("column.{$column->name}.help")]);
            $lines[] =
                '| '.$column->name.' | '.strtr(implode(': ', $meaning), ['|' => '\\|']).' | '.self::cells($column, $words).' |';
        }

        return implode("\n", $lines)."\n";
    }

    private static function cells(CropColumn $column, Words $words): string
    {
        $cells = match (true) {
            $column->type === CropColumn::CAUTIONS => '`'.implode('` `', array_column(Caution::cases(), 'value')).'`',
            $column->choices !== [] => '`'.implode('` `', $column->choices).'`',
            $column->unit !== null => $words->say("crop-range.{$column->unit}", ['least' => $column->least, 'most' => $column->most]),
            default => 'text',
        };

        return $column->optional ? $words->say('crop-range.optional', ['range' => $cells]) : $cells;
    }
}
