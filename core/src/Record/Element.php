<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** What is measured once a day. */
enum Element: string
{
    case Minimum = 'minimum';
    case Maximum = 'maximum';
}
