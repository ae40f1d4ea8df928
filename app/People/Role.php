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

    /** Reads what is to be published, comments on it, and signs it as the second; changes no date. */
    case Reviewer = 'reviewer';

    /** All that an educator does, and people, backups, connections: in a small office there may be nobody else. */
    case Administrator = 'administrator';

    /** Whether zones, crops, methods, and editions are theirs to change. */
    public function doesEducatorsWork(): bool
    {
        return $this === self::Educator || $this === self::Administrator;
    }

    /** Whether they may sign, as the second, what another has drafted. */
    public function signs(): bool
    {
        return $this !== self::Volunteer;
    }
}
