<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** What is measured once a day. */
enum Element: string
{
    case Minimum = 'minimum';
    case Maximum = 'maximum';
    /** Rain and melted snow, mm. */
    case Rain = 'rain';
    /** Depth of snow, cm. */
    case Snow = 'snow';

    /** Whether every record has it. */
    public function isTemperature(): bool
    {
        return $this === self::Minimum || $this === self::Maximum;
    }
}
