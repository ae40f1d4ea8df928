<?php

declare(strict_types=1);

namespace App\Desk;

use Anthesis\Words\Phrase;
use App\Operations\Say;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** What needs a person's attention this morning, most urgent first, in the words of their desk. */
class DigestMail extends Mailable
{
    /** @param  non-empty-list<Matter>  $matters */
    public function __construct(private readonly string $name, private readonly array $matters)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: Say::key('digest.subject', ['matters' => count($this->matters)]));
    }

    public function content(): Content
    {
        $paragraphs = [Say::key('digest.greeting', ['name' => $this->name])];
        foreach (Urgency::cases() as $urgency) {
            $own = array_filter($this->matters, static fn (Matter $m): bool => $m->urgency === $urgency);
            if ($own !== []) {
                $paragraphs[] = Say::key("home.{$urgency->value}")."\n".implode("\n", array_map(self::line(...), $own));
            }
        }

        return new Content(
            text: 'letters.plain',
            with: ['paragraphs' => [...$paragraphs, url('/desk'), Say::key('digest.stop')]],
        );
    }

    private static function line(Matter $matter): string
    {
        $parts = implode(', ', array_map(static fn (Phrase $p): string => Say::phrase($p), $matter->parts));

        return '- '.($matter->zone === null ? '' : "{$matter->zone->name}: ").trim(Say::phrase($matter->says)." {$parts}");
    }
}
