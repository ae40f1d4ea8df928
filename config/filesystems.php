<?php

declare(strict_types=1);

return [
    'default' => 'originals',

    'disks' => [
        // Nothing on the default disk is served.
        'local' => ['driver' => 'local', 'root' => storage_path('app'), 'serve' => false],
        // Station files exactly as they were uploaded, by checksum.
        'originals' => [
            'driver' => 'local',
            'root' => storage_path('app/originals'),
            'throw' => true,
        ],
        // Photos of the log, stripped of their position, by checksum.
        'photos' => [
            'driver' => 'local',
            'root' => storage_path('app/photos'),
            'throw' => true,
        ],
        // Public pages as files that the web server finds on its own. You may empty it: anthesis:render makes them again.
        'published' => [
            'driver' => 'local',
            'root' => env('PUBLISHED') ?: storage_path('app/published'),
            'throw' => true,
        ],
    ],
];
