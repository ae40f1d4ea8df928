<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Calendar\CropDossier;
use Anthesis\Crop\Crop;
use Anthesis\Place\Place;
use Anthesis\Window\School\CountBackSettings;
use Anthesis\Window\School\Grounds;
use Anthesis\Window\School\Remedies;
use Anthesis\Window\School\Schools;

/** Everything known about a crop at a site, by every method. */
final readonly class DossierQuestion implements Question
{
    /** @param  bool  $remedies  whether to look for what else to try if a crop has no window */
    public function __construct(private Crop $crop, private CountBackSettings $settings, private bool $remedies)
    {
    }

    public function kind(): ResultKind
    {
        return ResultKind::Dossier;
    }

    public function inputs(): array
    {
        return [$this->crop->slug, $this->settings, $this->remedies];
    }

    public function of(Place $place): Place
    {
        return $place->withoutSeason()->at($place->site())->growing($place->book->only($this->crop));
    }

    public function answer(Place $place): array
    {
        $schools = $place->once(
            Schools::class,
            fn (): Schools => Schools::on(Grounds::ofPlace($place, $this->settings, $this->remedies ? new Remedies() : null)),
            json_encode([$this->settings, $this->remedies], JSON_THROW_ON_ERROR),
        );

        $dossier = CropDossier::of($this->crop, $schools, $place->book->varietiesOf($this->crop->slug));

        return CropDossier::watered($dossier, $place, $this->crop);
    }
}
