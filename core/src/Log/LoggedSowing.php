<?php

declare(strict_types=1);

namespace Anthesis\Log;

/** What the entries of a planting add up to. */
final readonly class LoggedSowing
{
    /**
     * @param  int|null  $cropId  null: its first entry names none
     * @param  int|null  $plot  plot of a trial
     * @param  float|null  $metres  length of its bed
     * @param  bool  $underCover  whether it was started indoors
     * @param  array<string, string>  $days  YYYY-MM-DD by `sown`, `set-out`, `up`, `thinned`, `first-picked`, `last-picked`, and `lost`,
     *   where known
     * @param  string|null  $cause  a LossCause; null: it was not lost
     * @param  float|null  $kilograms  of all harvests
     * @param  int|null  $stems  of all harvests
     * @param  float|null  $quality  mean of the harvests: 1 poor, 2 fair, 3 good
     */
    public function __construct(
        public ?int $cropId,
        public ?string $variety,
        public ?int $bedId,
        public ?int $plot,
        public ?float $metres,
        public bool $underCover,
        public array $days,
        public string $begun,
        public ?string $cause,
        public ?float $kilograms,
        public ?int $stems,
        public ?float $quality,
    ) {
    }

    /** @return string|null YYYY-MM-DD, when it was last harvested or lost; null: it is still growing */
    public function ended(): ?string
    {
        return max($this->days['last-picked'] ?? '', $this->days['lost'] ?? '') ?: null;
    }
}
