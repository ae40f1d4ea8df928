<?php

declare(strict_types=1);

namespace Tests;

use App\Desk\SessionResource;
use App\Gardener\PublicSite;
use App\Operations\Today;
use App\Results\Question;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\DB;
use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/**
 * The application's features go in one direction, and its kinds of classes know their place. Models are nouns that any feature may name,
 * since rows refer to each other both ways; resources shape what belongs to a row. Everything else only uses what is above it.
 */
final class HouseRules
{
    /** What belongs to no zone: who is logged in, and the list of addresses. */
    private const CLOCK_READERS = [SessionResource::class, PublicSite::class];

    private const FEATURES = [
        'Operations',
        'People',
        'Office',
        'Zones',
        'Stations',
        'Sites',
        'Crops',
        'Results',
        'Windows',
        'Season',
        'Soil',
        'Log',
        'Trials',
        'Cues',
        'Ground',
        'TrackRecord',
        'Advisories',
        'Languages',
        'Editions',
        'Gardener',
        'Letters',
        'Desk',
        'Simulation',
        'Console',
    ];

    /** @return iterable<string, Rule> */
    public function test_a_feature_uses_only_features_above_it(): iterable
    {
        foreach (self::FEATURES as $i => $feature) {
            $below = array_map(static fn (string $f) => Selector::inNamespace("App\\{$f}"), array_slice(self::FEATURES, $i + 1));
            if ($below !== []) {
                yield $feature => PHPat::rule()
                    ->classes(Selector::AllOf(Selector::inNamespace("App\\{$feature}"), ...self::neitherRowNorShape()))
                    ->shouldNot()
                    ->dependOn()
                    ->classes(Selector::AllOf(Selector::AnyOf(...$below), Selector::NOT(Selector::extends(Model::class))))
                    ->because("{$feature} stands above them; let it tell an event instead");
            }
        }
    }

    public function test_nothing_but_routes_uses_a_controller(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App'))
            ->shouldNot()
            ->dependOn()
            ->classes(Selector::classname('/Controller$/', true))
            ->because('a controller translates requests, and is nobody’s helper');
    }

    public function test_actions_and_models_know_nothing_of_http(): Rule
    {
        return PHPat::rule()
            ->classes(
                Selector::AnyOf(
                    Selector::classname(
                        '/\\\\(Save|Choose|Keep|Sign|Withdraw|Release|Send|Import|Use|Decide|Publish|Queue|Compute|Cancel)[A-Z]\w+$/',
                        true,
                    ),
                    Selector::AllOf(Selector::inNamespace('App'), Selector::extends(Model::class)),
                ),
            )
            ->excluding(Selector::classname('/(Controller|Request|Resource)$/', true))
            ->shouldNot()
            ->dependOn()
            ->classes(Selector::classname('/(Controller|Request|Resource)$/', true), Selector::classname(Request::class))
            ->because('what is done does not hang on who asks for it');
    }

    public function test_an_answer_hangs_on_nothing_but_its_question_and_the_place(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::implements(Question::class))
            ->shouldNot()
            ->dependOn()
            ->classes(
                Selector::extends(Model::class),
                Selector::classname(Today::class),
                Selector::classname(DB::class),
                Selector::classname(Request::class),
            )
            ->because('what it would read there is not part of what the answer is kept under');
    }

    public function test_the_clock_is_read_by_the_zone_and_handed_on(): Rule
    {
        return PHPat::rule()
            ->classes(
                Selector::AllOf(
                    Selector::inNamespace('App'),
                    Selector::NOT(Selector::inNamespace('App\\Operations')),
                    Selector::NOT(Selector::extends(Model::class)),
                    Selector::NOT(Selector::AnyOf(...array_map(Selector::classname(...), self::CLOCK_READERS))),
                ),
            )
            ->shouldNot()
            ->dependOn()
            ->classes(Selector::classname(Today::class))
            ->because('a zone has a day of its own (Zone::today), and what is computed is told which');
    }

    /** @return list<SelectorInterface> */
    private static function neitherRowNorShape(): array
    {
        return [Selector::NOT(Selector::extends(Model::class)), Selector::NOT(Selector::extends(JsonResource::class))];
    }
}
