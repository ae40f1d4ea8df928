<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\SowDay;

/** The ordered lines by which a date was reached. */
final class Derivation
{
    /** @var list<DerivationLine> */
    private array $lines = [];

    public function write(string $key, string $label, ?SowDay $date, ?int $days, string $source): void
    {
        $this->lines[] = new DerivationLine($key, $label, $date, $days, $source);
    }

    /** @return list<DerivationLine> */
    public function lines(): array
    {
        return $this->lines;
    }
}
