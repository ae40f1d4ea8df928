<?php

declare(strict_types=1);

namespace App\People;

use Anthesis\Words\Phrase;
use App\Office\Office;
use App\Operations\OfficeInUse;
use App\Operations\Say;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Mail\Mailables\Headers;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

/** An e-mail to a person of the office: what it is about, a link, and what to do if they did not ask for it. */
class PlainMail extends Mailable
{
    /** Tells it apart from mail to readers, because its link lets somebody in. */
    public const HEADER = 'X-To-Person';

    /**
     * @param  string  $about  what it is about: `invitation`, `password`, `new-address`, or `changed`
     * @param  string  $path  of the link, from this service's address
     * @param  array<string, string|Phrase>  $with  fills in the words
     */
    public function __construct(private readonly string $about, private readonly string $path, private readonly array $with = [])
    {
    }

    /**
     * Tells a person that the way they log in was changed, so they notice if it was not them. Sent once the change is in effect.
     *
     * @param  string  $what  `password`, `address`, `second-step-on`, `second-step-off`, or `recovery-code`
     */
    public static function tell(User $user, string $what): void
    {
        $mail = new self('changed', '/desk/profile', ['name' => $user->name, 'what' => Phrase::of("mail.changed.{$what}")]);
        $address = $user->email;
        DB::afterCommit(static fn () => Mail::to($address)->locale($user->language)->send($mail));
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->words('subject'));
    }

    public function headers(): Headers
    {
        return new Headers(text: [self::HEADER => 'yes']);
    }

    public function content(): Content
    {
        return new Content(
            text: 'letters.plain',
            with: ['paragraphs' => [$this->words('text'), url($this->path), $this->words('else')]],
        );
    }

    private function words(string $part): string
    {
        // Somebody who forgot their password is not asking any office in particular.
        $office = OfficeInUse::id() === null ? Office::theOnly()?->name : Office::inUse()->name;

        return Say::key("mail.{$this->about}.{$part}", $this->with + ['office' => $office ?: 'Anthesis']);
    }
}
