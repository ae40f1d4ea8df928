<?php

declare(strict_types=1);

return [
    // People log in by session and programs by token; neither counts as the other.
    'guard' => [],
    'expiration' => null,
    // How to recognize a token that was published by mistake.
    'token_prefix' => 'anthesis_',
    'routes' => false,
];
