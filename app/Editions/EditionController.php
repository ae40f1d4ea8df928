<?php

declare(strict_types=1);

namespace App\Editions;

use Anthesis\Record\Day;
use App\Crops\Crop;
use App\Languages\Translation;
use App\Operations\Answer;
use App\Operations\SeenHere;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

class EditionController
{
    public function index(Zone $zone): AnonymousResourceCollection
    {
        return EditionResource::collection(
            Edition::query()->with('zone')->select(Edition::TOLD)->where('zone_id', $zone->id)->orderByDesc('number')->get(),
        );
    }

    public function store(Request $request, Zone $zone, PublishEdition $publish): JsonResponse
    {
        Gate::authorize('publish', $zone);
        $asked = self::asked($request, $zone);
        try {
            $publication = $publish->execute(
                $zone,
                $asked['note'],
                $asked['key'],
                $request->user(),
                (bool) ($asked['even_unchanged'] ?? false),
                $asked['answers'] ?? [],
                isset($asked['from']) ? Day::fromIso($asked['from']) : null,
                $asked['note_in'] ?? [],
            );
        } catch (CannotPublish $why) {
            throw ValidationException::withMessages([$why->field => $why->getMessage()]);
        }

        return (new PublicationResource($publication->asItStands()))->response()->setStatusCode(202);
    }

    /** @return array<string, mixed> */
    private static function asked(Request $request, Zone $zone): array
    {
        return $request->validate(
            [
                'note' => ['required', 'string', 'max:1000'],
                'key' => ['required', 'string', 'min:8', 'max:64', 'regex:/^[A-Za-z0-9-]+$/'],
                'even_unchanged' => ['nullable', 'boolean'],
                'answers' => ['nullable', 'array', 'max:400'],
                'answers.*' => ['string', 'max:1000'],
                'from' => [
                    'bail',
                    'nullable',
                    'string',
                    'date_format:Y-m-d',
                    'after:'.$zone->today()->iso(),
                    'before:'.$zone->today()->plus(366)->iso(),
                ],
                'note_in' => ['nullable', 'array:'.implode(',', Translation::languages())],
                'note_in.*' => ['string', 'max:1000'],
            ],
            [
                'note.required' => 'Describe this edition, or what changed, in a sentence.',
                'from.after' => 'Choose a day in the future, or leave it blank to publish right away.',
                'from.before' => 'An edition can wait for at most a year.',
                'key.required' => 'Send your own key (“key”) so the same request is not carried out twice.',
            ],
        );
    }

    public function sign(Request $request, Zone $zone, int $number, SignEdition $sign): EditionResource
    {
        Gate::authorize('sign', $zone);
        $edition = self::edition($zone, $number);
        try {
            $sign->execute($edition, $request->user());
        } catch (CannotPublish $why) {
            throw ValidationException::withMessages([$why->field => $why->getMessage()]);
        }

        return new EditionResource($edition->refresh());
    }

    public function withdraw(Request $request, Zone $zone, int $number, WithdrawEdition $withdraw): EditionResource
    {
        Gate::authorize('publish', $zone);
        $reason = $request->validate(
            ['reason' => ['required', 'string', 'max:1000']],
            ['reason.required' => 'Give the reason in a sentence, for people who have read it.'],
        )['reason'];
        $edition = self::edition($zone, $number);
        try {
            $withdraw->execute($edition, $reason, $request->user());
        } catch (CannotPublish $why) {
            throw ValidationException::withMessages([$why->field => $why->getMessage()]);
        }

        return new EditionResource($edition->refresh());
    }

    private static function edition(Zone $zone, int $number): Edition
    {
        return (
            Edition::query()->where('zone_id', $zone->id)->where('number', $number)->first() ??
            abort(404, "{$zone->name} has no edition {$number}.")
        )->setRelation('zone', $zone);
    }

    /** The next edition, for review. */
    public function draft(Request $request, Zone $zone, DraftEdition $draft): JsonResponse
    {
        try {
            $windows = $draft->windows($zone);
        } catch (CannotPublish $why) {
            abort(404, $why->getMessage());
        }
        $document = $draft->document($zone, $windows, (string) $request->user()?->name, '');
        $content = $document->content;

        return Answer::of([
            'number' => $content['edition']['number'],
            'crops' => count($content['crops']),
            'against' => $content['changes']['against'] ?? null,
            'changes' => $content['changes']['list'] ?? [],
            'warnings' => $draft->warnings($zone, $windows, $document),
            'objections' => ObjectionResource::collection(Objection::toDraftOf($zone)->get()),
        ]);
    }

    public function object(Request $request, Zone $zone, SaveObjection $save): JsonResponse
    {
        $asked = $request->validate(
            [
                'key' => ['required', 'string', 'min:8', 'max:64', 'regex:/^[A-Za-z0-9-]+$/'],
                'crop' => ['required', 'string', 'max:60', new SeenHere(Crop::class, 'slug', 'The book has no such crop. Choose another one.')],
                'text' => ['required', 'string', 'max:1000'],
            ],
            [
                'text.required' => 'Describe the problem in a sentence.',
            ],
        );

        $raised = $save->raise($zone, $asked['key'], $asked['crop'], $asked['text'], $request->user());

        return (new ObjectionResource($raised))->response()->setStatusCode(201);
    }

    public function answer(Request $request, Objection $objection, SaveObjection $save): ObjectionResource
    {
        Gate::authorize('publish', $objection->zone);
        $answer = $request->validate(
            ['answer' => ['required', 'string', 'max:1000']],
            ['answer.required' => 'Describe what is being done about it in a sentence.'],
        )['answer'];
        $save->answer($objection, $answer, $request->user());

        return new ObjectionResource($objection->refresh());
    }

    public function publication(Publication $publication): PublicationResource
    {
        return new PublicationResource($publication->asItStands());
    }
}
