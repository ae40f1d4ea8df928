<?php

declare(strict_types=1);

use App\People\User;

return [
    'providers' => ['users' => ['driver' => 'eloquent', 'model' => User::class]],
];
