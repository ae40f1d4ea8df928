<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\YearDay;
use Anthesis\Words\Phrase;

/** The lines, in order, by which a date was reached. */
final class Derivation
{
    /** @var list<DerivationLine> */
    private array $lines = [];

    public function write(string $key, Phrase $label, ?YearDay $date, ?int $days, Phrase $source): void
    {
        $this->lines[] = new DerivationLine($key, $label, $date, $days, $source);
    }

    /** @return list<DerivationLine> */
    public function lines(): array
    {
        return $this->lines;
    }
}
