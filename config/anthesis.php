<?php

declare(strict_types=1);

return [
    // The day the application takes for today, as YYYY-MM-DD; blank: the real one, or where the demonstration's clock stands. For tests.
    'today' => env('ANTHESIS_TODAY'),

    // The largest station file that is taken, in MiB. nginx lets somewhat more through, so that the refusal is ours.
    'upload_mib' => (int) env('ANTHESIS_UPLOAD_MIB', 240),

    // Where sheets of paper are kept once they are made.
    'paper' => storage_path('app/paper'),

    // How much of them is kept, in MiB; what was asked for longest ago goes first.
    'paper_mib' => (int) env('ANTHESIS_PAPER_MIB', 256),

    // Where files of stations are dropped, a folder for each by its number.
    'reports' => env('ANTHESIS_REPORTS') ?: storage_path('app/reports'),

    // Addresses of proxies in front of this service whose word on who asks, and whether by TLS, is believed; comma-separated, * for any.
    'trusted_proxies' => array_values(array_filter(array_map(trim(...), explode(',', (string) env('ANTHESIS_TRUSTED_PROXIES', ''))))),

    // What editions are sealed with; kept outside the database, and with the backups.
    'seal_key' => env('ANTHESIS_SEAL_KEY'),

    // Whether the demonstration's people, with their known password, may log in. bin/start says so; nobody else does.
    'demonstration' => (bool) env('ANTHESIS_DEMONSTRATION', false),

    // Where the programs of this service hold a lock each as long as they run (bin/service); blank: nobody told.
    'run' => env('SERVE') ? storage_path('run/'.env('SERVE')) : '',

    // The program that renders gardener's pages to HTML.
    'node' => env('ANTHESIS_NODE', 'node'),

    // The program that prints sheets to PDF; blank: what is installed; “none”: dompdf, which draws no charts.
    'chromium' => match ((string) env('ANTHESIS_CHROMIUM', '')) {
        '' => is_executable('/usr/bin/chromium') ? '/usr/bin/chromium' : '',
        'none' => '',
        default => env('ANTHESIS_CHROMIUM'),
    },
];
