<?php

declare(strict_types=1);

namespace Anthesis\Window\School;

use Anthesis\Place\Place;
use Anthesis\Replay\Replay;
use Anthesis\Window\GroundWait;
use Anthesis\Window\PlaceEvidence;

/** What the methods work from: a place's normals and freezes, its replay, and the settings for counting back. */
final readonly class Grounds
{
    /**
     * @param  Remedies|null  $remedies  what else to try for a crop without a window; null: nothing
     * @param  bool  $waitsForSoil  whether windows of a replay wait for the crop's own minimum soil temperature
     * @param  GroundWait|null  $ground  from when on ground can be worked, if they wait for that
     */
    public function __construct(
        public PlaceEvidence $place,
        public Replay $replay,
        public CountBackSettings $settings,
        public ?Remedies $remedies = null,
        public bool $waitsForSoil = true,
        public ?GroundWait $ground = null,
    ) {
    }

    public static function ofPlace(Place $place, CountBackSettings $settings, ?Remedies $remedies): self
    {
        return new self(
            PlaceEvidence::ofPlace($place),
            Replay::ofPlace($place),
            $settings,
            $remedies,
            $place->waitsForSoil,
            GroundWait::ofPlace($place),
        );
    }
}
