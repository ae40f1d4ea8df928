<?php

declare(strict_types=1);

namespace App\People;

/** What a person at the desk may do. */
enum Role: string
{
    /** Owns zones, crops, methods and editions. */
    case Educator = 'educator';

    /** Logs readings, sightings and trials; sees all, publishes nothing. */
    case Volunteer = 'volunteer';

    /** People, backups, connections. */
    case Administrator = 'administrator';
}
