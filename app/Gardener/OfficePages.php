<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Languages\Translation;
use App\Office\Office;
use Illuminate\Database\Eloquent\Builder;

/**
 * The pages about the calendars: what they are, how they are made, what the words mean, whom to contact. Their words are in lang/,
 * office.json.
 */
final class OfficePages
{
    public const ALL = ['about', 'method', 'glossary', 'contact', 'privacy', 'accessibility'];

    public static function page(string $which, Reading $reading): Page
    {
        $offices = Office::query()
            ->where('name', '!=', '')
            ->whereHas('zones', static fn (Builder $q) => $q->has('currentEdition'))
            ->orderBy('name')
            ->get();

        return new Page(
            'office',
            "/{$which}",
            ['which' => $which, 'offices' => $offices->map(static fn (Office $o): array => $o->told())->all()],
            $reading->say("office.{$which}.title"),
            $reading->say("office.{$which}.intro"),
            null,
            $reading,
            Translation::of($reading->language, array_merge(...$offices->map(static fn (Office $o): array => $o->texts())->all(), ...[[]])),
        );
    }
}
