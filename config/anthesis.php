<?php

declare(strict_types=1);

return [
    // The date to use as today, as YYYY-MM-DD; blank: the real one, or the demonstration's. For tests.
    'today' => env('ANTHESIS_TODAY'),

    // The largest station file accepted, in MiB. nginx allows a little more, so that we are the ones to refuse it.
    'upload_mib' => (int) env('ANTHESIS_UPLOAD_MIB', 240),

    // Where PDF files are kept once they are made.
    'paper' => storage_path('app/paper'),

    // How much of them is kept, in MiB; what was unused the longest is deleted first.
    'paper_mib' => (int) env('ANTHESIS_PAPER_MIB', 256),

    // Where stations' files are dropped, a folder for each by its number.
    'reports' => env('ANTHESIS_REPORTS') ?: storage_path('app/reports'),

    // Addresses of proxies in front of this service that are trusted to say who asks, and whether over TLS; comma-separated, * for any.
    'trusted_proxies' => array_values(array_filter(array_map(trim(...), explode(',', (string) env('ANTHESIS_TRUSTED_PROXIES', ''))))),

    // The key that seals editions; kept outside the database, and with the backups.
    'seal_key' => env('ANTHESIS_SEAL_KEY'),

    // Whether the demonstration's people, with their known password, may log in. Only bin/start turns this on.
    'demonstration' => (bool) env('ANTHESIS_DEMONSTRATION', false),

    // Where each program of this service holds a lock as long as it runs (bin/service); blank: not set.
    'run' => env('SERVE') ? storage_path('run/'.env('SERVE')) : '',

    // How many processors one computation may use; blank: all of this machine.
    'processors' => (int) env('ANTHESIS_PROCESSORS', 0),

    // How hard public pages are compressed: 1 (quick) to 9 (small).
    'compression' => (int) env('ANTHESIS_COMPRESSION', 9),

    // The program that renders public pages to HTML.
    'node' => env('ANTHESIS_NODE', 'node'),

    // How long a reader may wait for the renderer that runs as a service, before a process of its own makes the page.
    'renderer_seconds' => 5,

    // The program that prints PDFs; blank: whatever is installed; “none”: dompdf, which draws no charts.
    'chromium' => match ((string) env('ANTHESIS_CHROMIUM', '')) {
        '' => array_values(array_filter(['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'], is_executable(...)))[0] ?? '',
        'none' => '',
        default => env('ANTHESIS_CHROMIUM'),
    },
];
