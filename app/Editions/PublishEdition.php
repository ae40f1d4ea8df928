<?php

declare(strict_types=1);

namespace App\Editions;

use Anthesis\Calendar\EditionDocument;
use Anthesis\Messages\Words;
use Anthesis\Record\Day;
use App\Languages\SaveTranslation;
use App\Languages\Translation;
use App\People\Change;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/**
 * Freezes a zone's windows as its next numbered edition, and has its pages made, right away or once it is signed and its date has come.
 * Then it is current.
 *
 * @phpstan-import-type Warning from DraftEdition
 */
final class PublishEdition
{
    public function __construct(private readonly DraftEdition $draft, private readonly SaveTranslation $translate)
    {
    }

    /**
     * @param  string  $sentAs  a key of the sender's: the same request sent again publishes nothing more
     * @param  bool  $evenUnchanged  publish even though nothing differs from the current edition
     * @param  array<string, string>  $answers  to the draft's warnings, by their keys or their causes
     * @param  Day|null  $from  the date it should become current; null: right away
     * @param  array<string, string>  $noteIn  the note in other languages
     *
     * @throws CannotPublish
     */
    public function execute(
        Zone $zone,
        string $note,
        string $sentAs,
        User $user,
        bool $evenUnchanged = false,
        array $answers = [],
        ?Day $from = null,
        array $noteIn = [],
    ): Publication {
        return DB::transaction(function () use ($zone, $note, $sentAs, $user, $evenUnchanged, $answers, $from, $noteIn): Publication {
            // The lock makes two educators who publish at the same time take turns.
            Zone::query()->whereKey($zone->id)->lockForUpdate()->first();
            $zone->refresh();
            $content = ['zone' => $zone->id, 'note' => $note, 'even_unchanged' => $evenUnchanged, 'answers' => $answers];
            $content += ['from' => $from?->iso(), 'note_in' => $noteIn];
            $sent = Publication::sentBefore($sentAs, $content);
            if ($sent !== null) {
                return $sent;
            }
            $windows = $this->draft->windows($zone);
            $this->translateNote($note, $noteIn, $user);
            $on = $from !== null && $zone->today()->isBefore($from) ? $from : $zone->today();
            $document = $this->draft->document($zone, $windows, $user->name, $note, $on);
            $this->refuse($zone, $document, $evenUnchanged);
            $answered = $this->answered($this->draft->warnings($zone, $windows, $document), $zone, $answers);
            $number = $document->content['edition']['number'];
            $edition = Edition::freeze($zone, $number, $on, $user->name, $note, $document, $from, $zone->office->second_signature);
            Objection::toDraftOf($zone)->update(['edition_id' => $edition->id]);
            $publication = $this->publication($zone, $user, $edition, $sentAs, $content, $answered);
            Change::record('published', $edition, $user, [], ['from' => $on->iso()], $note);
            if ($publication->state === PublicationState::Queued) {
                event(new EditionFrozen($edition->id));
            }

            return $publication;
        });
    }

    /**
     * @param  array<string, mixed>  $content  what was sent, so that the same sent again is recognized
     * @param  list<array<string, mixed>>  $answered
     */
    private function publication(Zone $zone, User $user, Edition $edition, string $sentAs, array $content, array $answered): Publication
    {
        return Publication::query()->create([
            'zone_id' => $zone->id,
            'user_id' => $user->id,
            'edition_id' => $edition->id,
            'idempotency_key' => $sentAs,
            'idempotency_hash' => Publication::hashOf($content),
            'state' => $edition->isWaiting($zone->today()) ? PublicationState::Waiting : PublicationState::Queued,
            'answers' => $answered,
        ]);
    }

    /** @param  array<string, string>  $noteIn  by language */
    private function translateNote(string $note, array $noteIn, User $user): void
    {
        foreach ($noteIn as $language => $translation) {
            $this->translate->execute($language, $note, $translation, Translation::of($language, [$note])[$note] ?? null, $user);
        }
    }

    /** @throws CannotPublish while another edition is on its way, or if nothing has changed */
    private function refuse(Zone $zone, EditionDocument $document, bool $evenUnchanged): void
    {
        $last = $this->draft->last($zone);
        if ($last !== null && $last->in_force_at === null && $last->withdrawn_on === null) {
            throw new CannotPublish(
                $last->isWaiting($zone->today())
                    ? "Edition {$last->number} is waiting for its date or its second signature. Withdraw it first, or wait."
                    : "Edition {$last->number} is being published. Wait until it is current.",
            );
        }
        $before = $this->draft->before($zone);
        if (! $evenUnchanged && $before !== null && $before->isSound() && $before->open()->saysTheSameAs($document)) {
            throw new CannotPublish("Nothing has changed since edition {$before->number}: every window is the same.", 'unchanged');
        }
    }

    /**
     * @param  list<Warning>  $warnings
     * @param  array<string, string>  $answers
     * @return list<array{phrase: array<string, mixed>, answer: string}>
     *
     * @throws CannotPublish if a warning or a comment has none
     */
    private function answered(array $warnings, Zone $zone, array $answers): array
    {
        $open = Objection::toDraftOf($zone)->whereNull('answer')->first();
        if ($open !== null) {
            throw new CannotPublish("{$open->author} commented on {$open->crop}. Answer that first.", 'objections');
        }
        $answered = [];
        foreach ($warnings as $warning) {
            // One answer can cover all warnings of a cause.
            $answer = trim($answers[$warning['key']] ?? ($answers[$warning['cause']] ?? ''));
            if ($answer === '') {
                throw new CannotPublish('Explain each warning first: '.Words::in('en')->phrase($warning['phrase']), 'answers');
            }
            $answered[] = ['phrase' => $warning['phrase'], 'answer' => $answer];
        }

        return $answered;
    }
}
