<?php

declare(strict_types=1);

namespace App\People;

use Anthesis\Tables\CsvText;
use App\Operations\Answer;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The trail of changes, to read and export; nothing edits it. */
class TrailController
{
    private const PAGE = 50;

    private const COLUMNS = ['change', 'at', 'office', 'by', 'zone', 'crop', 'what', 'name', 'act', 'field', 'was', 'is', 'why', 'seal'];

    public function index(Request $request): JsonResponse
    {
        $before = $request->validate(['before' => ['nullable', 'integer', 'min:1', 'max:999999999999']])['before'] ?? null;
        $changes = self::trail($request)
            ->query()
            ->when($before !== null, static fn ($q) => $q->where('id', '<', (int) $before))
            ->limit(self::PAGE + 1)
            ->get();

        return Answer::of([
            'changes' => ChangeResource::collection($changes->take(self::PAGE)),
            'more' => $changes->count() > self::PAGE,
            // Those who work here, and those who did and are still named.
            'people' => User::query()
                ->whereIn('id', Membership::query()->select('user_id')->toBase())
                ->orWhereIn('id', Change::query()->select('user_id')->toBase())
                ->orderBy('name')
                ->get()
                ->map(static fn (User $user): array => $user->only(['id', 'name']))
                ->all(),
        ]);
    }

    /** Everything selected, one row per field. */
    public function csv(Request $request): StreamedResponse
    {
        $trail = self::trail($request);

        return response()->streamDownload(
            static function () use ($trail): void {
                echo CsvText::of([self::COLUMNS], "\r\n");
                foreach ($trail->query()->with(['seal', 'office'])->lazy(500) as $change) {
                    echo CsvText::of(self::rows($change), "\r\n");
                }
            },
            'changes.csv',
            ['Content-Type' => 'text/csv; charset=utf-8'],
        );
    }

    private static function trail(Request $request): Trail
    {
        $asked = $request->validate(
            [
                'zone' => ['nullable', 'string', 'max:80', Zone::seenHere()],
                'crop' => ['nullable', 'string', 'max:60'],
                'person' => ['nullable', 'integer', 'min:1', 'max:999999999999'],
                'from' => ['nullable', 'string', 'date_format:Y-m-d'],
                'until' => ['nullable', 'string', 'date_format:Y-m-d'],
            ],
            ['*.date_format' => 'Enter the day as YYYY-MM-DD.'],
        );

        return new Trail(
            $request->user() ?? abort(401),
            isset($asked['zone']) ? Zone::query()->where('slug', $asked['zone'])->firstOrFail() : null,
            $asked['crop'] ?? null,
            isset($asked['person']) ? (int) $asked['person'] : null,
            isset($asked['from']) ? Carbon::parse($asked['from'])->startOfDay() : null,
            isset($asked['until']) ? Carbon::parse($asked['until'])->addDay()->startOfDay() : null,
        );
    }

    /** @return list<list<string|int|null>> */
    private static function rows(Change $change): array
    {
        $fields = $change->fields === [] ? ['' => ['was' => null, 'is' => null]] : $change->fields;
        $text = static fn (mixed $value): ?string => match (true) {
            $value === null => null,
            is_string($value) => $value,
            default => json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        };

        return array_map(
            static fn (string $field, array $values): array => [
                $change->id,
                $change->created_at->toIso8601String(),
                $change->office?->slug,
                $change->by(),
                $change->zone?->slug,
                $change->crop,
                $change->subject,
                $change->about,
                $change->act,
                $field,
                $text($values['was']),
                $text($values['is']),
                $change->why,
                $change->seal?->hash,
            ],
            array_map(strval(...), array_keys($fields)),
            $fields,
        );
    }
}
