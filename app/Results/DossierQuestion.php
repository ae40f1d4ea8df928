<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Calendar\CropDossier;
use Anthesis\Crop\Crop;
use Anthesis\Place\Place;
use Anthesis\Window\School\CountBackSettings;
use Anthesis\Window\School\Grounds;
use Anthesis\Window\School\Schools;
use Anthesis\Window\School\WaysOut;

/** All that is known of a crop at a site, by every school. */
final readonly class DossierQuestion implements Question
{
    /** @param  bool  $waysOut  whether to look for what else to try where a crop has no window */
    public function __construct(private Crop $crop, private CountBackSettings $settings, private bool $waysOut)
    {
    }

    public function kind(): ResultKind
    {
        return ResultKind::Dossier;
    }

    public function inputs(): array
    {
        return [$this->crop->slug, $this->settings, $this->waysOut];
    }

    public function of(Place $place): Place
    {
        return $place->withoutSeason()->at($place->site())->growing($place->book->only($this->crop));
    }

    public function answer(Place $place): array
    {
        $schools = $place->once(Schools::class, fn (): Schools => Schools::on(Grounds::ofPlace($place, $this->settings, $this->waysOut ? new WaysOut : null)),
            json_encode([$this->settings, $this->waysOut], JSON_THROW_ON_ERROR));

        return CropDossier::of($this->crop, $schools, $place->book->varietiesOf($this->crop->slug));
    }
}
