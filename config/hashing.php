<?php

declare(strict_types=1);

return [
    // Accepts passwords of any length in full; those hashed with bcrypt before are hashed again when their owner logs in.
    'driver' => 'argon2id',

    'argon' => [
        'memory' => (int) env('ARGON_MEMORY', 19_456),
        'threads' => 1,
        'time' => (int) env('ARGON_TIME', 2),
        // Older hashes are of another kind.
        'verify' => false,
    ],
];
