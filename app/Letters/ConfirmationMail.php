<?php

declare(strict_types=1);

namespace App\Letters;

use App\Gardener\Reading;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** Asks whether somebody really wants the newsletter. */
class ConfirmationMail extends Mailable
{
    /** @param  list<string>|null  $crops  slugs; null: all */
    public function __construct(private readonly LetterReader $reader, private readonly Reading $reading, private readonly ?array $crops)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->reading->say('letter.confirm.subject', ['zone' => $this->reader->zone->name]));
    }

    public function content(): Content
    {
        $link =
            url("{$this->reading->prefix()}/letters/{$this->reader->token}/confirm").
            ($this->crops === null ? '' : '?crops='.implode(',', $this->crops));

        return new Content(
            text: 'letters.plain',
            with: [
                'paragraphs' => [
                    $this->reading->say('letter.confirm.text', ['zone' => $this->reader->zone->name]),
                    $link,
                    $this->reading->say('letter.confirm.else'),
                ],
            ],
        );
    }
}
