<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Languages\Translation;
use App\Office\Office;

/**
 * The pages about the calendars: what they are, how they are made, what the words mean, whom to ask. Their words are in lang/,
 * office.json.
 */
final class OfficePages
{
    public const ALL = ['about', 'method', 'glossary', 'contact', 'privacy', 'accessibility'];

    public static function page(string $which, Reading $reading): Page
    {
        $office = Office::theOne();

        return new Page(
            'office',
            "/{$which}",
            ['which' => $which, 'office' => $office?->only(['name', 'mail', 'phone', 'address', 'hours', 'licence'])],
            $reading->say("office.{$which}.title"),
            $reading->say("office.{$which}.intro"),
            null,
            $reading,
            Translation::of($reading->language, $office?->texts() ?? []),
        );
    }
}
