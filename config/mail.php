<?php

declare(strict_types=1);

return [
    // “outbox”: nothing is sent, and the desk shows what would be. “smtp”: a mail server, named below by the environment.
    'default' => env('MAIL_MAILER', 'outbox'),

    'mailers' => [
        'outbox' => ['transport' => 'outbox'],
        'smtp' => [
            'transport' => 'smtp',
            'scheme' => env('MAIL_SCHEME'),
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => env('MAIL_PORT', 587),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
            'timeout' => 20,
        ],
        'array' => ['transport' => 'array'],
    ],

    'from' => ['address' => env('MAIL_FROM_ADDRESS', 'calendar@localhost.localdomain'), 'name' => env('MAIL_FROM_NAME', 'Sowing calendar')],
];
