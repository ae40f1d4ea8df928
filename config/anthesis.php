<?php

declare(strict_types=1);

return [
    // The day the application takes for today, as YYYY-MM-DD; blank: the real one. For demonstrations and tests.
    'today' => env('ANTHESIS_TODAY'),

    // The largest station file that is taken, in MiB. bin/serve lets somewhat more through, so that the refusal is ours.
    'upload_mib' => (int) env('ANTHESIS_UPLOAD_MIB', 240),

    // The program that renders gardener's pages to HTML.
    'node' => env('ANTHESIS_NODE', 'node'),
];
