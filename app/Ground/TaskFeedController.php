<?php

declare(strict_types=1);

namespace App\Ground;

use Anthesis\Publishing\ICalendarText;
use Anthesis\Record\Day;
use Anthesis\Words\Phrase;
use App\Office\Preferences;
use App\Operations\Answer;
use App\Operations\OfficeInUse;
use App\Operations\Say;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The tasks in a zone's beds, as a calendar that a phone subscribes to at a secret address. */
class TaskFeedController
{
    /** Days back and ahead that are included. */
    private const BACK = 14;

    private const AHEAD = 400;

    public function store(Request $request, Zone $zone, SaveFeedLink $save): JsonResponse
    {
        $token = $save->execute($request->user());

        return Answer::of(['url' => url("/tasks/{$token}/{$zone->slug}.ics")], 201);
    }

    public function show(string $token, Zone $zone, ZoneTasks $tasks): Response
    {
        $user =
            OfficeInUse::within($zone->office_id, static fn (): ?User => User::active()->where('feed_token', $token)->first()) ??
            abort(404, 'This address no longer works. It was replaced by a new one, or never existed.');
        OfficeInUse::enter($zone->office_id);
        Preferences::of($user)->speak();
        $today = $zone->today();
        $lines = [
            'BEGIN:VCALENDAR',
            'VERSION:2.0',
            'PRODID:-//Anthesis//Tasks//EN',
            'CALSCALE:GREGORIAN',
            'METHOD:PUBLISH',
            ICalendarText::property('X-WR-CALNAME', Say::key('ground.feed-name', ['zone' => $zone->name])),
        ];
        foreach ($tasks->of($zone, $today, $today->plus(-self::BACK), $today->plus(self::AHEAD)) as $task) {
            array_push($lines, ...self::event($zone, $today, $task));
        }
        $lines[] = 'END:VCALENDAR';

        return response(ICalendarText::file($lines))->withHeaders([
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Cache-Control' => 'private, max-age=3600',
            'X-Robots-Tag' => 'noindex',
        ]);
    }

    /**
     * @param  array<string, mixed>  $task
     * @return list<string> lines of a calendar
     */
    private static function event(Zone $zone, Day $today, array $task): array
    {
        $on = Day::fromIso($task['on']);

        return [
            'BEGIN:VEVENT',
            "UID:{$zone->slug}-".explode(' ', $task['stay'])[1]."-{$task['key']}@anthesis",
            'DTSTAMP:'.ICalendarText::date($today).'T000000Z',
            'DTSTART;VALUE=DATE:'.ICalendarText::date($on),
            'DTEND;VALUE=DATE:'.ICalendarText::date(($task['to'] === null ? $on : Day::fromIso($task['to']))->plus(1)),
            'TRANSP:TRANSPARENT',
            ICalendarText::property(
                'SUMMARY',
                Say::key("task.{$task['key']}", [
                    'crop' => $task['name'],
                    'bed' => $task['bed']['name'],
                    'for' => Phrase::day(Day::fromIso($task['for'])->yearDay()),
                    'plants' => $task['plants'] ?? 0,
                ]),
            ),
            ICalendarText::property('DESCRIPTION', Say::key('ground.tasks-care')),
            ICalendarText::property('LOCATION', "{$task['bed']['garden']}, {$task['bed']['name']}"),
            'END:VEVENT',
        ];
    }
}
