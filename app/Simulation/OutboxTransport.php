<?php

declare(strict_types=1);

namespace App\Simulation;

use App\Letters\OutboxMail;
use App\Operations\OfficeInUse;
use App\People\Membership;
use App\People\PlainMail;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;
use Symfony\Component\Mime\Message;
use Symfony\Component\Mime\MessageConverter;

/** Where mail goes until a mail server is named: a list at the desk of what would have been sent, of which the latest are kept. */
final class OutboxTransport extends AbstractTransport
{
    protected function doSend(SentMessage $message): void
    {
        $original = $message->getOriginalMessage();
        $mail = $original instanceof Message ? MessageConverter::toEmail($original) : new Email();
        $to = array_map(static fn (Address $a): string => $a->getAddress(), $message->getEnvelope()->getRecipients());
        OutboxMail::query()->create([
            'office_id' => OfficeInUse::id() ?? Membership::query()->whereRelation('user', 'email', $to[0] ?? '')->value('office_id'),
            'recipient' => implode(', ', $to),
            'subject' => mb_substr((string) $mail->getSubject(), 0, 250),
            'message' => (string) $mail->getTextBody(),
            'to_person' => $mail->getHeaders()->has(PlainMail::HEADER),
        ]);
        $newest = OutboxMail::query()->orderByDesc('id')->skip(OutboxMail::KEPT)->value('id');
        if ($newest !== null) {
            OutboxMail::query()->where('id', '<=', $newest)->delete();
        }
    }

    public function __toString(): string
    {
        return 'outbox';
    }
}
