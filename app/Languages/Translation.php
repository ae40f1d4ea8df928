<?php

declare(strict_types=1);

namespace App\Languages;

use Anthesis\Messages\Words;
use App\Operations\OfOffice;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What a person wrote, in another language. It is found by the text itself, so a text that changes is no longer translated, and one that
 * appears in two places is translated once. The latest for a text counts; earlier ones stay.
 *
 * Translations of the crops that ship are in lang/{language}/book/*.json.
 *
 * @property int $id
 * @property string $language
 * @property string $text_hash
 * @property string $text
 * @property string $translation
 * @property string $author
 * @property Carbon $created_at
 */
class Translation extends Model
{
    use OfOffice;

    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @return list<string> languages that what people write has to be translated into */
    public static function languages(): array
    {
        return array_values(array_diff(Words::languages(), [Words::SOURCE]));
    }

    /**
     * @param  list<string>|null  $texts  null: all that are translated
     * @return array<string, string> translations by text, for those that have one
     */
    public static function of(string $language, ?array $texts = null): array
    {
        if (! in_array($language, self::languages(), true)) {
            return [];
        }
        $own = self::query()->where('language', $language)->orderBy('id');
        if ($texts !== null) {
            $own->whereIn('text_hash', array_map(self::hash(...), $texts));
        }
        $translations = array_filter(
            $own->pluck('translation', 'text')->all() + self::shipped($language),
            static fn (string $t): bool => $t !== '',
        );

        return $texts === null ? $translations : array_intersect_key($translations, array_fill_keys($texts, true));
    }

    /** @return array<string, array<string, string>> all, by language and text */
    public static function byLanguage(): array
    {
        return array_combine(self::languages(), array_map(static fn (string $language): array => self::of($language), self::languages()));
    }

    public static function hash(string $text): string
    {
        return hash('sha256', $text);
    }

    /** @return array<string, string> */
    private static function shipped(string $language): array
    {
        static $shipped = [];

        return $shipped[$language] ??= array_merge(
            ...array_map(
                static fn (string $file): array => (array) json_decode((string) file_get_contents($file), true, 2, JSON_THROW_ON_ERROR),
                glob(lang_path("{$language}/book/*.json")) ?: [],
            ),
            ...[[]],
        );
    }
}
