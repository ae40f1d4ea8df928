<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Support\Facades\Vite;

/**
 * The type faces of every page. They are optional (`resources/css/fonts.css`): one that comes late is not used until the page is loaded
 * again, which at the desk may be tomorrow. So every page asks for them first.
 */
final class Faces
{
    /** @return list<string> addresses */
    public static function addresses(): array
    {
        return array_map(Vite::asset(...), [
            'node_modules/@fontsource-variable/literata/files/literata-latin-wght-normal.woff2',
            'node_modules/@fontsource-variable/source-sans-3/files/source-sans-3-latin-wght-normal.woff2',
        ]);
    }
}
