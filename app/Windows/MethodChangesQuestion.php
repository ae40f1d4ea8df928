<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Calendar\MethodChange;
use Anthesis\Crop\Crop;
use Anthesis\Place\Place;
use Anthesis\Replay\Replay;
use Anthesis\Window\ProofStandard;
use App\Results\Question;
use App\Results\ResultKind;

/**
 * What the latest edition of the method changed at a place, crop by crop.
 *
 * @phpstan-import-type Change from MethodChange
 */
final readonly class MethodChangesQuestion implements Question
{
    public function __construct(private ProofStandard $standard)
    {
    }

    public function kind(): ResultKind
    {
        return ResultKind::MethodChanges;
    }

    public function inputs(): array
    {
        return [$this->standard->value];
    }

    public function of(Place $place): Place
    {
        return $place->withoutSeason()->at($place->site());
    }

    /** @return array{changes: list<Change>} */
    public function answer(Place $place): array
    {
        $replay = Replay::ofPlace($place);
        $changes = fn (Crop $crop): array => MethodChange::of($crop, $replay, $place->yearStart(), $this->standard->share());

        return ['changes' => array_merge(...array_map($changes, $place->book->crops()))];
    }
}
