<?php

declare(strict_types=1);

return [
    App\AppServiceProvider::class,
    Laravel\Sanctum\SanctumServiceProvider::class,
];
