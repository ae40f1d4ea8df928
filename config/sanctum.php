<?php

declare(strict_types=1);

return [
    // People log in by session, programs by token: neither is taken for the other.
    'guard' => [],
    'expiration' => null,
    // By which a token that was published by mistake is recognized.
    'token_prefix' => 'anthesis_',
    'routes' => false,
];
