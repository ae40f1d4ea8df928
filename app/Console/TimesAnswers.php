<?php

declare(strict_types=1);

namespace App\Console;

use App\Operations\OfficeInUse;
use App\People\Membership;
use App\People\User;
use App\Zones\Zone;
use Closure;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/** For commands that time the desk's answers, with data they make for it and remove again. */
trait TimesAnswers
{
    /**
     * Times something in the demonstration's zone, as a person of its office, in a transaction that is rolled back.
     *
     * @param  Closure(Zone, User): void  $time
     */
    private function inDemonstration(Closure $time): int
    {
        $zone = Zone::query()->whereHas('currentComputation')->where('slug', 'basin-floor')->first();
        $user = $zone === null ? null : Membership::query()->where('office_id', $zone->office_id)->orderBy('id')->first()?->user;
        if ($zone === null || $user === null) {
            $this->line('There is no demonstration to time. Run bin/start first.');

            return self::SUCCESS;
        }
        OfficeInUse::within($zone->office_id, static function () use ($zone, $user, $time): void {
            DB::beginTransaction();
            try {
                Auth::guard('web')->setUser($user);
                $time($zone, $user);
            } finally {
                DB::rollBack();
            }
        });

        return self::SUCCESS;
    }

    /**
     * Prints the median and the first time, seconds.
     *
     * @param  array<string, mixed>|Closure(int): array<string, mixed>  $body  made for each request, counted from 0, if it cannot be sent twice
     */
    private function timed(Kernel $kernel, int $repeats, string $name, string $method, string $path, array|Closure $body = []): void
    {
        $seconds = [];
        $status = 0;
        for ($i = 0; $i <= $repeats; $i++) {
            $content = $body instanceof Closure ? $body($i) : $body;
            $request = Request::create(
                $path,
                $method,
                server: ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json'],
                content: $content === [] ? null : (string) json_encode($content),
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
