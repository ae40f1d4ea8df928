<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;

/** For commands that time the desk's answers, with data they make for it and remove again. */
trait TimesAnswers
{
    /**
     * Prints the median and the first time, seconds.
     *
     * @param  array<string, mixed>  $body
     */
    private function timed(Kernel $kernel, int $repeats, string $name, string $method, string $path, array $body = []): void
    {
        $seconds = [];
        $status = 0;
        for ($i = 0; $i <= $repeats; $i++) {
            $request = Request::create(
                $path,
                $method,
                server: ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json'],
                content: $body === [] ? null : (string) json_encode($body),
            );
            $start = hrtime(true);
            $status = $kernel->handle($request)->getStatusCode();
            $seconds[] = (hrtime(true) - $start) / 1e9;
        }
        $first = array_shift($seconds);
        sort($seconds);
        $this->line(
            sprintf('%-44s %9.3f   first %.3f%s', $name, $seconds[intdiv(count($seconds), 2)], $first, $status < 300 ? '' : " ({$status})"),
        );
    }
}
