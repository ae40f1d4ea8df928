<?php

declare(strict_types=1);

namespace App\Letters;

use App\Gardener\OwnCrops;
use App\Gardener\Page;
use App\Gardener\PageRenderer;
use App\Gardener\PublishedEdition;
use App\Gardener\Reading;
use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Validator;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Exception\RfcComplianceException;

/**
 * A gardener subscribes to the newsletter, confirms by the link in an e-mail, and unsubscribes by the link in each issue. The link only
 * leads to a question; pressing its button does it, so a mail program that follows links does nothing.
 */
class LetterController
{
    public function __construct(private readonly PageRenderer $renderer, private readonly KeepLetterReader $save)
    {
    }

    public function ask(Request $request, Zone $zone): Response
    {
        $reading = Reading::of($request);
        $edition = PublishedEdition::find($zone, null)->open();
        $asked = Validator::make($request->only('mail'), [
            'mail' => ['required', 'string', 'max:200', 'email:filter', self::canBeMailed(...)],
        ]);
        if ($asked->fails()) {
            return $this->show($reading, 'not-an-address', $zone, 422, [
                'mail' => mb_substr($request->string('mail')->toString(), 0, 200),
                'crops' => $request->string('crops')->toString(),
            ]);
        }
        $crops = OwnCrops::of($request, $edition);
        $this->save->ask($zone, $asked->validated()['mail'], $reading, $crops === [] ? null : $crops);

        return $this->show($reading, 'asked', $zone);
    }

    public function offer(Request $request): Response
    {
        $reader = $this->reader($request);

        return $reader === null
            ? $this->unknown($request)
            : $this->show(Reading::of($request), (string) $request->route('what'), $reader->zone, 200, [
                'crops' => $request->string('crops')->toString(),
            ]);
    }

    public function carryOut(Request $request): Response
    {
        $reader = $this->reader($request);
        if ($reader === null) {
            return $this->unknown($request);
        }
        $zone = $reader->zone;
        if ($request->route('what') === 'leave') {
            $this->save->forget($reader);

            return $this->show(Reading::of($request), 'left', $zone);
        }
        $crops = OwnCrops::of($request, PublishedEdition::find($zone, null)->open());
        $this->save->confirm($reader, Reading::of($request), $crops === [] ? null : $crops);

        return $this->show(Reading::of($request), 'confirmed', $zone);
    }

    /** What a mail program would refuse is refused here, whatever a form allows. */
    private static function canBeMailed(string $field, mixed $mail, callable $fail): void
    {
        try {
            new Address((string) $mail);
        } catch (RfcComplianceException) {
            $fail('Mail cannot be sent to this address. Check it for typos.');
        }
    }

    private function reader(Request $request): ?LetterReader
    {
        return LetterReader::query()->with('zone')->where('token', (string) $request->route('token'))->first();
    }

    private function unknown(Request $request): Response
    {
        return $this->show(Reading::of($request), 'unknown', null, 404);
    }

    /** @param  array<string, string>  $kept  what was typed */
    private function show(Reading $reading, string $state, ?Zone $zone, int $status = 200, array $kept = []): Response
    {
        $page = new Page(
            'letter',
            null,
            ['state' => $state, 'zone' => $zone?->only(['slug', 'name']), 'mail' => $kept['mail'] ?? '', 'crops' => $kept['crops'] ?? ''],
            $reading->say('letter.title'),
            $reading->say('letter.title'),
            null,
            $reading,
        );

        return $this->renderer->respond($page, 'no-store', ['X-Robots-Tag' => 'noindex'], $status);
    }
}
