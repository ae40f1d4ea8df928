<?php

declare(strict_types=1);

namespace App\Languages;

use App\Office\Office;
use App\Operations\Answer;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

class TranslationController
{
    /** What people wrote that gardeners read, with its translations; null if not translated. */
    public function index(PublicTexts $texts): JsonResponse
    {
        $translations = Translation::byLanguage();

        return Answer::of([
            'languages' => Office::inUse()->languages ?? Translation::languages(),
            'texts' => array_map(
                static fn (array $text): array => $text + [
                    'translations' => (object) array_map(static fn (array $own): ?string => $own[$text['text']] ?? null, $translations),
                ],
                $texts->all(),
            ),
        ]);
    }

    public function update(Request $request, SaveTranslation $save): JsonResponse
    {
        Gate::authorize('publish', Zone::class);
        $asked = $request->validate(
            [
                'language' => ['required', Rule::in(Translation::languages())],
                'text' => ['required', 'string', 'max:4000'],
                'translation' => ['present', 'nullable', 'string', 'max:4000'],
                'before' => ['present', 'nullable', 'string', 'max:4000'],
            ],
            ['language.in' => 'There are no words in that language here. Its files belong in lang/.'],
        );
        try {
            $save->execute($asked['language'], $asked['text'], trim($asked['translation'] ?? ''), $asked['before'], $request->user());
        } catch (TranslationMoved $why) {
            throw ValidationException::withMessages(['translation' => $why->getMessage()]);
        }

        return Answer::of([
            'text' => $asked['text'],
            'translation' => Translation::of($asked['language'], [$asked['text']])[$asked['text']] ?? null,
        ]);
    }
}
