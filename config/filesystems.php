<?php

declare(strict_types=1);

return [
    'default' => 'originals',

    'disks' => [
        // Nothing of the default disk is served.
        'local' => ['driver' => 'local', 'root' => storage_path('app'), 'serve' => false],
        // Station files exactly as they were brought, by checksum.
        'originals' => [
            'driver' => 'local',
            'root' => storage_path('app/originals'),
            'throw' => true,
        ],
        // Gardener's pages, rendered from editions. Can be emptied: they are rendered again when asked for.
        'published' => [
            'driver' => 'local',
            'root' => storage_path('app/published'),
            'throw' => true,
        ],
    ],
];
