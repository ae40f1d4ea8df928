<?php

declare(strict_types=1);

return [
    // Takes a password of any length whole; what was hashed with bcrypt before is hashed again when its owner logs in.
    'driver' => 'argon2id',

    'argon' => [
        'memory' => (int) env('ARGON_MEMORY', 19_456),
        'threads' => 1,
        'time' => (int) env('ARGON_TIME', 2),
        // Older hashes are of another kind.
        'verify' => false,
    ],
];
