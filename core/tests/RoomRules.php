<?php

declare(strict_types=1);

namespace Anthesis\Tests;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The house has one direction: a room uses only the rooms above it, and the core nothing but PHP and itself. */
final class RoomRules
{
    private const ROOMS = [
        'Record',
        'Words',
        'Climate',
        'Sun',
        'Soil',
        'Crop',
        'Place',
        'Replay',
        'Water',
        'Window',
        'Season',
        'Verification',
        'Succession',
        'Ground',
        'Trial',
        'Indicator',
        'Log',
        'Calendar',
        'Messages',
        'Tables',
        'Stations',
        'Publishing',
        'CommandLine',
    ];

    /** @return iterable<string, Rule> */
    public function test_a_room_uses_only_rooms_above_it(): iterable
    {
        foreach (self::ROOMS as $i => $room) {
            $below = array_slice(self::ROOMS, $i + 1);
            if ($below !== []) {
                yield $room => PHPat::rule()
                    ->classes(Selector::inNamespace("Anthesis\\{$room}"))
                    ->shouldNot()
                    ->dependOn()
                    ->classes(...array_map(static fn (string $r) => Selector::inNamespace("Anthesis\\{$r}"), $below))
                    ->because("{$room} stands above ".implode(', ', $below));
            }
        }
    }

    public function test_the_core_knows_nothing_outside_itself(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Anthesis'))
            ->shouldNot()
            ->dependOn()
            ->classes(
                Selector::inNamespace('App'),
                Selector::inNamespace('Illuminate'),
                Selector::inNamespace('Symfony'),
                Selector::inNamespace('Laravel'),
            )
            ->because('the core is plain PHP');
    }
}
