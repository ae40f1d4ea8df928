<?php

declare(strict_types=1);

namespace App\Languages;

use App\People\User;
use Illuminate\Support\Facades\DB;

/** Saves a text in another language; earlier versions stay. */
final class SaveTranslation
{
    /** @throws TranslationMoved if somebody else has translated it in the meantime */
    public function execute(string $language, string $text, string $translation, ?string $before, User $user): void
    {
        DB::transaction(static function () use ($language, $text, $translation, $before, $user): void {
            Translation::query()->where('language', $language)->where('text_hash', Translation::hash($text))->lockForUpdate()->get();
            $now = Translation::of($language, [$text])[$text] ?? null;
            if ($now === $translation) {
                return;
            }
            if ($now !== $before) {
                throw new TranslationMoved($now);
            }
            Translation::query()->create([
                'language' => $language,
                'text_hash' => Translation::hash($text),
                'text' => $text,
                'translation' => $translation,
                'author' => $user->name,
            ]);
            event(new TranslationsChanged());
        });
    }
}
