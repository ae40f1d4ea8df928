<?php

declare(strict_types=1);

namespace App\Ground;

use Anthesis\Crop\Crop as CropParameters;
use Anthesis\Crop\Route;
use Anthesis\Ground\Candidate;
use Anthesis\Ground\GroundDays;
use Anthesis\Place\Place;
use Anthesis\Window\ProofStandard;
use App\Results\Results;

/** Every crop and variety of the book as it grows at a place, day by day: when it may go in, and how long it stays. */
final class GrowingHere
{
    public const NO_RECORD = 'The zone has no record yet. Upload a station file first.';

    /** @var array<string, Candidate> those used so far */
    private array $known = [];

    /**
     * @param  array<string, array{CropParameters, string|null, Route}>  $ways  by crop, variety, and way of growing, in the order of the
     *   book
     * @param  array<string, string>  $days  JSON of the GroundDays of each, because most are never looked at
     */
    private function __construct(private readonly array $ways, private readonly array $days)
    {
    }

    public static function at(Place $place, ProofStandard $standard): self
    {
        $ways = [];
        foreach (GrowingQuestion::grown($place->book) as [$crop, $variety]) {
            foreach ($crop->routes as $route) {
                $ways[GrowingQuestion::key($crop->slug, $variety, $route)] = [$crop, $variety, $route];
            }
        }

        return new self($ways, Results::of($place, new GrowingQuestion($standard))['days']);
    }

    /** A crop as it grows in a bed: the book's variety of that name, otherwise the crop itself. */
    public function candidate(string $crop, ?string $variety, Route $route): ?Candidate
    {
        return $this->known(GrowingQuestion::key($crop, $variety, $route)) ?? $this->known(GrowingQuestion::key($crop, null, $route));
    }

    /** @return list<Candidate> all the ways to grow a crop, or one of its varieties */
    public function waysOf(string $crop, ?string $variety): array
    {
        return array_values(
            array_filter(
                array_map(fn (Route $route): ?Candidate => $this->known(GrowingQuestion::key($crop, $variety, $route)), Route::cases()),
            ),
        );
    }

    /** @return list<Candidate> in the order of the book */
    public function all(): array
    {
        return array_values(array_filter(array_map($this->known(...), array_keys($this->ways))));
    }

    private function known(string $key): ?Candidate
    {
        $way = $this->ways[$key] ?? null;

        return $way === null
            ? null
            : ($this->known[$key] ??= new Candidate(
                $way[0],
                $way[1],
                $way[2],
                new GroundDays(...json_decode($this->days[$key], true, 8, JSON_THROW_ON_ERROR)),
            ));
    }
}
