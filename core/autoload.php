<?php

declare(strict_types=1);

// Lets the core run by itself, without Composer: scripts, benchmarks and outside checks need nothing but PHP.

spl_autoload_register(static function (string $class): void {
    if (str_starts_with($class, 'Anthesis\\')) {
        $file = __DIR__.'/src/'.str_replace('\\', '/', substr($class, 9)).'.php';
        if (is_file($file)) {
            require $file;
        }
    }
});
