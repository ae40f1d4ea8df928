<?php

declare(strict_types=1);

namespace Anthesis\Verification;

use Anthesis\Record\YearDay;

/**
 * Seasons of judged years inside the windows made from the others, counted one at a time: seasons, harvests, and the sum of what was
 * promised.
 *
 * @phpstan-type Counted array{int, int, float}
 *
 * @internal of WindowPromises
 */
final class PromisesInside
{
    public int $runs = 0;

    public int $harvests = 0;

    public float $promised = 0.0;

    /** @var array<int, Counted> */
    public array $years = [];

    /** @var array<int, Counted> by month of sowing, 1 to 12 */
    public array $months = [];

    /** @var array<string, int> by Outcome */
    public array $lost = [];

    /** @param  string|null  $lostTo  the Outcome of a season that came to no harvest; null: it did */
    public function count(int $year, int $day, float $promise, ?string $lostTo): void
    {
        $harvest = $lostTo === null ? 1 : 0;
        $this->runs++;
        $this->harvests += $harvest;
        $this->promised += $promise;
        [$month] = YearDay::fromNumber($day)->monthAndDay();
        $this->years[$year] = self::more($this->years[$year] ?? [0, 0, 0.0], $harvest, $promise);
        $this->months[$month] = self::more($this->months[$month] ?? [0, 0, 0.0], $harvest, $promise);
        if ($lostTo !== null) {
            $this->lost[$lostTo] = ($this->lost[$lostTo] ?? 0) + 1;
        }
    }

    /**
     * @param  Counted  $counted
     * @return Counted with one more season
     */
    private static function more(array $counted, int $harvest, float $promise): array
    {
        return [$counted[0] + 1, $counted[1] + $harvest, $counted[2] + $promise];
    }
}
