<?php

declare(strict_types=1);

// Longer than the longest job may take: work that its worker is still doing is never given to another. What a killed worker leaves behind
// does not wait for this; anthesis:resume picks it up.
$retryAfter = 900;

return [
    'default' => env('QUEUE_CONNECTION', 'database'),

    'connections' => [
        'sync' => ['driver' => 'sync'],
        'database' => ['driver' => 'database', 'connection' => null, 'table' => 'jobs', 'queue' => 'default', 'retry_after' => $retryAfter, 'after_commit' => false],
        'redis' => ['driver' => 'redis', 'connection' => 'default', 'queue' => 'default', 'retry_after' => $retryAfter, 'block_for' => null, 'after_commit' => false],
    ],
];
