<?php

declare(strict_types=1);

namespace App\Letters;

use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\WeekList;
use Anthesis\Crop\Act;
use Anthesis\Messages\Words;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Words\Phrase;
use App\Advisories\Advisory;
use App\Languages\Translation;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Mail\Mailables\Headers;

/**
 * A zone's week for one reader: current advisories, what to sow, plant, and transplant of their crops, with cautions, and how to
 * unsubscribe.
 */
class WeeklyLetter extends Mailable
{
    /** @param  array{rain: float, et0: float}|null  $water  mm in a normal week at this time of year; null without rain on record */
    public function __construct(
        private readonly LetterReader $reader,
        private readonly EditionDocument $edition,
        private readonly Day $on,
        private readonly ?array $water = null,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->words()->say('letter.week.subject', ['zone' => $this->reader->zone->name] + $this->span()));
    }

    public function headers(): Headers
    {
        // RFC 8058: a mail program's own button unsubscribes with one request.
        return new Headers(
            text: ['List-Unsubscribe' => "<{$this->reader->address('leave')}>", 'List-Unsubscribe-Post' => 'List-Unsubscribe=One-Click'],
        );
    }

    public function content(): Content
    {
        $words = $this->words();
        $zone = $this->reader->zone;
        $address = url("{$this->reader->readsIn()->prefix()}/zones/{$zone->slug}");

        return new Content(
            text: 'letters.plain',
            with: [
                'paragraphs' => [
                    $words->say('letter.week.head', ['zone' => $zone->name] + $this->span()),
                    ...$this->advice(),
                    ...$this->water(),
                    ...$this->acts(),
                    ...$this->cautions(),
                    implode("\n", [$words->say('letter.week.more'), "{$address}/this-week"]),
                    implode(' ', array_map($words->phrase(...), $this->edition->content['guidance'])),
                    implode("\n", [$words->say('letter.week.leave'), $this->reader->address('leave')]),
                ],
            ],
        );
    }

    /** @return list<string> */
    private function advice(): array
    {
        $advisories = Advisory::shown($this->reader->zone, $this->on)->get()->filter(fn (Advisory $a): bool => $a->isInForce($this->on));
        $words = $this->reader
            ->readsIn()
            ->words(Translation::of($this->reader->readsIn()->language, array_values($advisories->pluck('text')->all())));

        return array_values($advisories->map(static fn (Advisory $a): string => $words->own($a->text))->all());
    }

    /** @return list<string> one line on water, if rain is on record */
    private function water(): array
    {
        $mm = static fn (float $mm): Phrase => Phrase::of('measure.rain', ['rain' => $mm]);

        $rules = $this->reader->zone->office->waterRulesOn($this->on);
        $told = $rules === null ? [] : ["{$this->words()->say('page.season.water-rules')} {$rules}"];

        return match (true) {
            $this->water === null => $told,
            $this->water['et0'] > $this->water['rain'] => [
                $this->words()->say('page.season.water', ['taken' => $mm($this->water['et0']), 'fallen' => $mm($this->water['rain'])]),
                ...$told,
            ],
            default => [$this->words()->say('page.season.rain-is-enough'), ...$told],
        };
    }

    /** @return list<string> one paragraph per task, one line per crop */
    private function acts(): array
    {
        $words = $this->words();
        $paragraphs = [];
        foreach (Act::cases() as $act) {
            $lines = [];
            foreach ($this->tasks() as $task) {
                if ($task['act'] === $act->value) {
                    $lines[] =
                        '  '.
                        $words->say($task['closes'] === null ? 'letter.line-all-year' : 'letter.line', [
                            'crop' => $task['name'],
                            'until' => $task['closes'] === null ? '' : Phrase::day(YearDay::fromIso($task['closes'])),
                        ]).
                        ($task['last_chance'] ? ' '.$words->say('letter.last-chance') : '');
                }
            }
            if ($lines !== []) {
                $paragraphs[] = implode("\n", [$words->say("act.{$act->value}.lead"), ...$lines]);
            }
        }

        return $paragraphs === [] ? [$words->say('page.week.nothing')] : $paragraphs;
    }

    /** @return list<string> each caution once, with its crops */
    private function cautions(): array
    {
        $words = $this->words();
        $crops = array_column($this->tasks(), 'crop');
        $of = [];
        foreach ($this->edition->content['crops'] as $sheet) {
            foreach (in_array($sheet['slug'], $crops, true) ? $sheet['cautions'] : [] as $caution) {
                $of[$words->phrase($caution['phrase'])][] = $words->own($sheet['name']);
            }
        }

        return $of === []
            ? []
            : [
                implode("\n", [
                    $words->say('page.care'),
                    ...array_map(
                        static fn (string $caution, array $names): string => '  '.implode(', ', $names).': '.$caution,
                        array_keys($of),
                        $of,
                    ),
                ]),
            ];
    }

    /** @return list<array{crop: string, name: string, act: string, opens: string, closes: string|null, last_chance: bool, opening: bool, of_ten?: int|null}> */
    private function tasks(): array
    {
        $week = $this->edition->content['weeks'][WeekList::weekOf($this->on->yearDay()) - 1];

        return array_values(
            array_filter(
                $week['tasks'],
                fn (array $task): bool => $this->reader->crops === null || in_array($task['crop'], $this->reader->crops, true),
            ),
        );
    }

    /** @return array{first: Phrase, last: Phrase} */
    private function span(): array
    {
        $week = $this->edition->content['weeks'][WeekList::weekOf($this->on->yearDay()) - 1];

        return ['first' => Phrase::day(YearDay::fromIso($week['first'])), 'last' => Phrase::day(YearDay::fromIso($week['last']))];
    }

    private function words(): Words
    {
        $reading = $this->reader->readsIn();

        return $reading->words($reading->own($this->edition));
    }
}
