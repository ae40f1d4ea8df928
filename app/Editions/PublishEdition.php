<?php

declare(strict_types=1);

namespace App\Editions;

use Anthesis\Exchange\Words;
use App\Operations\Today;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/**
 * Freezes what a zone's windows came to as its next numbered edition, and has its pages made; then it is in force.
 *
 * @phpstan-import-type Warning from DraftEdition
 */
final class PublishEdition
{
    public function __construct(private readonly DraftEdition $draft)
    {
    }

    /**
     * @param  string  $sentAs  a key of the sender's: sent again, the same request publishes nothing again
     * @param  bool  $evenUnchanged  publish although nothing differs from the edition in force
     * @param  array<string, string>  $answers  to each of the draft's warnings, by its key
     *
     * @throws CannotPublish
     */
    public function execute(Zone $zone, string $note, string $sentAs, User $user, bool $evenUnchanged = false, array $answers = []): Publication
    {
        return DB::transaction(function () use ($zone, $note, $sentAs, $user, $evenUnchanged, $answers): Publication {
            // The lock makes two educators publishing at once take their turns.
            Zone::query()->whereKey($zone->id)->lockForUpdate()->first();
            $zone->refresh();
            $before = Publication::query()->where('sent_as', $sentAs)->first();
            if ($before !== null) {
                return $before->zone_id === $zone->id ? $before : throw new CannotPublish('This request was sent for another zone. Load the page again.');
            }
            $windows = $this->draft->windows($zone);
            $document = $this->draft->document($zone, $windows, $user->name, $note);
            $last = $this->draft->last($zone);
            if ($last !== null && $last->in_force_at === null) {
                throw new CannotPublish("Edition {$last->number} is being published. Wait until it is in force.");
            }
            if (! $evenUnchanged && $last !== null && $last->isSound() && $last->open()->saysTheSameAs($document)) {
                throw new CannotPublish("Nothing has changed since edition {$last->number}: every window is the same.", 'unchanged');
            }
            $answered = $this->answered($this->draft->warnings($zone, $windows, $document), $zone, $answers);
            $edition = Edition::freeze($zone, $document->content['edition']['number'], Today::day(), $user->name, $note, $document);
            Objection::toDraftOf($zone)->update(['edition_id' => $edition->id]);
            $publication = Publication::query()->create(['zone_id' => $zone->id, 'user_id' => $user->id, 'edition_id' => $edition->id,
                'sent_as' => $sentAs, 'state' => Publication::QUEUED, 'answers' => $answered]);
            event(new EditionFrozen($edition->id));

            return $publication;
        });
    }

    /**
     * @param  list<Warning>  $warnings
     * @param  array<string, string>  $answers
     * @return list<array{phrase: array<string, mixed>, answer: string}>
     *
     * @throws CannotPublish where a warning or an objection has none
     */
    private function answered(array $warnings, Zone $zone, array $answers): array
    {
        $open = Objection::toDraftOf($zone)->whereNull('answer')->first();
        if ($open !== null) {
            throw new CannotPublish("{$open->author} objects to {$open->crop}: answer that first.", 'objections');
        }
        $answered = [];
        foreach ($warnings as $warning) {
            $answer = trim($answers[$warning['key']] ?? '');
            if ($answer === '') {
                throw new CannotPublish('Answer each warning first: '.Words::in('en')->phrase($warning['phrase']), 'answers');
            }
            $answered[] = ['phrase' => $warning['phrase'], 'answer' => $answer];
        }

        return $answered;
    }
}
