<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Zones\Computation;
use App\Zones\ComputationState;
use App\Zones\QueueComputation;
use App\Zones\Zone;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Redis;
use Symfony\Component\Process\Process;
use Tests\TestCase;
use Throwable;

/** Several machines share the work through Redis if the environment says so; here, a server of the test's own stands in. */
final class RedisQueueTest extends TestCase
{
    private Process $server;

    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/anthesis-redis-'.bin2hex(random_bytes(4));
        mkdir($this->folder);
        $socket = "{$this->folder}/redis.sock";
        $this->server = new Process([
            'redis-server',
            '--port',
            '0',
            '--unixsocket',
            $socket,
            '--dir',
            $this->folder,
            '--save',
            '',
            '--appendonly',
            'no',
        ]);
        $this->server->start();
        config(['database.redis.default' => ['scheme' => 'unix', 'path' => $socket, 'database' => 0], 'queue.default' => 'redis']);
        for ($i = 0; $i < 6000; $i++) {
            try {
                Redis::connection()->command('ping');

                return;
            } catch (Throwable) {
                Redis::purge('default');
                usleep(100_000);
            }
        }
        self::fail('redis-server does not answer: '.$this->server->getErrorOutput().$this->server->getOutput());
    }

    protected function tearDown(): void
    {
        $this->server->stop(2);
        array_map(unlink(...), glob("{$this->folder}/*") ?: []);
        rmdir($this->folder);
        parent::tearDown();
    }

    public function test_a_worker_takes_computations_from_redis_and_what_waits_already_is_not_queued_again(): void
    {
        Zone::factory()->create();
        $this->actingAs($this->person());
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile()],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $zone = Zone::query()->firstOrFail();
        app(QueueComputation::class)->execute($zone, null);
        app(QueueComputation::class)->execute($zone, null);
        self::assertSame(2, Redis::connection()->command('llen', ['queues:default']));
        self::assertSame([ComputationState::Queued, ComputationState::Queued], Computation::query()->orderBy('id')->pluck('state')->all());

        Artisan::call('queue:work', ['connection' => 'redis', '--once' => true]);
        self::assertSame(
            [ComputationState::Done, ComputationState::Done],
            Computation::query()->orderBy('id')->pluck('state')->all(),
            'who has the zone does all that waits',
        );
        Artisan::call('queue:work', ['connection' => 'redis', '--once' => true]);
        self::assertSame([ComputationState::Done, ComputationState::Done], Computation::query()->orderBy('id')->pluck('state')->all());
        self::assertSame(0, Redis::connection()->command('llen', ['queues:default']));
    }
}
