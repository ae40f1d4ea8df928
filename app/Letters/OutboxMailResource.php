<?php

declare(strict_types=1);

namespace App\Letters;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property OutboxMail $resource */
class OutboxMailResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $mail = $this->resource;

        return [
            'id' => $mail->id,
            'recipient' => $mail->recipient,
            'subject' => $mail->subject,
            'message' => $mail->message,
            'at' => $mail->created_at->toIso8601String(),
        ];
    }
}
