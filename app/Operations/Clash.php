<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Validation\ValidationException;
use Throwable;

/** Two people did something at the same time that only one can do. Tells which unique key of the database they clashed on. */
final class Clash
{
    /** Names that people choose, by unique key: the field and what is wrong with it. */
    public const NAMES = [
        'zones_office_id_name_unique' => ['name', 'There already is a zone with this name. Choose another name.'],
        'beds_zone_id_garden_name_unique' => ['name', 'There already is a bed with this name in this garden. Choose another name.'],
        'sites_office_id_scope_name_unique' => ['name', 'There already is a growing site with this name. Choose another name.'],
        'sites_zone_id_name_unique' => ['name', 'There already is a growing site with this name. Choose another name.'],
        'soil_spots_zone_id_name_unique' => ['name', 'There already is a spot with this name. Choose another name.'],
        'varieties_crop_id_name_unique' => ['name', 'The crop already has a variety with this name. Choose another name.'],
        'crops_office_id_slug_unique' => ['slug', 'There already is a crop with this slug. Reload the crop book.'],
        'users_email_unique' => ['email', 'Somebody already has this e-mail address.'],
    ];

    /**
     * A name is refused just as it would have been a moment later. Nobody chose anything else (a number, a token, an address made from a
     * name), so the same request can be sent again.
     */
    public static function of(UniqueConstraintViolationException $error): Throwable
    {
        $key = preg_match("/for key '(?:[^'.]+\.)?([^']+)'/", $error->getMessage(), $found) === 1 ? $found[1] : '';
        [$field, $words] = self::NAMES[$key] ?? [null, ''];

        return $field === null
            ? new Busy($error, 'Somebody did the same at this moment. Nothing was changed. Try again in a few seconds.')
            : ValidationException::withMessages([$field => $words]);
    }
}
