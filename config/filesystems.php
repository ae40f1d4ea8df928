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
        // Photographs of the log, stripped of their position, by checksum.
        'photos' => [
            'driver' => 'local',
            'root' => storage_path('app/photos'),
            'throw' => true,
        ],
        // Gardener's pages as files the web server finds by itself. Can be emptied: anthesis:render makes them again.
        'published' => [
            'driver' => 'local',
            'root' => env('PUBLISHED') ?: storage_path('app/published'),
            'throw' => true,
        ],
    ],
];
