<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\File;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** What bin/start keeps running comes back when it is killed, and what it left behind is not in its way. */
final class SupervisorTest extends TestCase
{
    private string $name;

    private string $folder;

    private Process $supervisor;

    protected function setUp(): void
    {
        parent::setUp();
        $this->name = 'supervisor-test-'.getmypid();
        $this->folder = sys_get_temp_dir()."/{$this->name}";
        File::ensureDirectoryExists($this->folder);
        // A master that starts a child and notes both: each start adds a line.
        $master = "sleep 600 & echo \"\$\$ \$!\" >> {$this->folder}/started; wait";
        $this->supervisor = new Process(
            [
                'bash',
                '-c',
                ". bin/lib.sh; supervise {$this->name} bash -c ".
                escapeshellarg($master).
                '; echo $SUPERVISOR; trap "kill $SUPERVISOR; wait $SUPERVISOR; exit" TERM; wait $SUPERVISOR',
            ],
            base_path(),
        );
        $this->supervisor->start();
    }

    protected function tearDown(): void
    {
        $this->supervisor->stop(10);
        File::deleteDirectory($this->folder);
        File::delete(storage_path("logs/{$this->name}.log"));
        parent::tearDown();
    }

    /** @return array{int, int} master and child of the start by its number, once it was made */
    private function started(int $n): array
    {
        for ($i = 0; $i < 6000; $i++) {
            $lines = is_file("{$this->folder}/started") ? explode("\n", trim((string) file_get_contents("{$this->folder}/started"))) : [];
            if (count($lines) >= $n) {
                [$master, $child] = explode(' ', $lines[$n - 1]);

                return [(int) $master, (int) $child];
            }
            usleep(50_000);
        }
        self::fail("It was not started {$n} times.");
    }

    private function isGone(int $pid): bool
    {
        for ($i = 0; $i < 6000; $i++) {
            $state = @file_get_contents("/proc/{$pid}/stat");
            // What nobody has waited for yet is gone all the same.
            if ($state === false || preg_match('/\) Z /', $state) === 1) {
                return true;
            }
            usleep(50_000);
        }

        return false;
    }

    public function test_a_killed_master_comes_back_and_its_children_are_gone(): void
    {
        [$master, $child] = $this->started(1);
        posix_kill($master, 9);
        [$again, $newChild] = $this->started(2);
        self::assertTrue($this->isGone($child), 'it would hold the socket');
        self::assertNotSame($master, $again);
        self::assertDirectoryExists("/proc/{$newChild}");
    }

    public function test_stopping_leaves_nothing_behind(): void
    {
        [$master, $child] = $this->started(1);
        $this->supervisor->stop(10);
        self::assertTrue($this->isGone($master));
        self::assertTrue($this->isGone($child));
        self::assertFileDoesNotExist(storage_path("run/groups/{$this->name}"));
    }
}
