<?php

declare(strict_types=1);

namespace App\People;

/** What a person at the desk may do. */
enum Role: string
{
    /** Manages zones, crops, methods, and editions. */
    case Educator = 'educator';

    /** Logs readings, sightings, and trials; sees everything, publishes nothing. */
    case Volunteer = 'volunteer';

    /** Reads what is to be published, comments on it, and signs it as the second person; changes no dates. */
    case Reviewer = 'reviewer';

    /** Everything an educator does, plus people, backups, and connections: in a small office there may be nobody else. */
    case Administrator = 'administrator';

    /** Whether they may change zones, crops, methods, and editions. */
    public function doesEducatorsWork(): bool
    {
        return $this === self::Educator || $this === self::Administrator;
    }

    /** Whether they may be the second to sign what somebody else drafted. */
    public function signs(): bool
    {
        return $this !== self::Volunteer;
    }
}
