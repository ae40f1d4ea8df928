<?php

declare(strict_types=1);

namespace App\Operations;

use Closure;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * A copy of this process that answers one question after another. It shares the memory of the process it was copied from, so it starts
 * with everything that was already made there. It also shares the connections, which only one side may use, so it gets none.
 */
final class Helper
{
    private const NICE = 5;

    /** Before each answer: its length, as eight bytes. */
    private const HEAD = 8;

    /** @param  resource  $socket */
    private function __construct(private readonly int $process, public readonly mixed $socket)
    {
    }

    /**
     * @param  Closure(string): string  $answer  without database, files, or clock
     * @param  list<self>  $others  helpers that are running
     * @return self|null null: the system gives us no other process
     */
    public static function start(Closure $answer, array $others): ?self
    {
        $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, STREAM_IPPROTO_IP);
        $process = $pair === false ? -1 : pcntl_fork();
        if ($pair === false || $process === -1) {
            return null;
        }
        if ($process === 0) {
            // A copy of our end would keep the others waiting after we are gone.
            foreach ([...array_map(static fn (self $h): mixed => $h->socket, $others), $pair[0]] as $socket) {
                fclose($socket);
            }
            self::help($pair[1], $answer);
        }
        fclose($pair[1]);

        return new self($process, $pair[0]);
    }

    /** What the copy does. It ends without cleaning up, because what it would close is still used by the other side. */
    private static function help(mixed $socket, Closure $answer): never
    {
        try {
            // Whoever waits for a page goes first.
            proc_nice(self::NICE);
            // The process that asks decides when to stop, also when both get the signal.
            array_map(static fn (int $signal): bool => pcntl_signal($signal, SIG_IGN), [SIGTERM, SIGINT, SIGQUIT, SIGHUP]);
            DB::setDefaultConnection('none in a helper');
            while (($question = fgets($socket)) !== false) {
                $text = $answer(rtrim($question, "\n"));
                if (! self::send($socket, pack('J', strlen($text)).$text)) {
                    break;
                }
            }
        } catch (Throwable) {
            // The other side answers this question itself, and there the error is told.
        } finally {
            posix_kill(posix_getpid(), SIGKILL);
        }
        exit;
    }

    /** @param  resource  $socket */
    private static function send(mixed $socket, string $bytes): bool
    {
        for ($sent = 0; $sent < strlen($bytes); $sent += $part) {
            $part = @fwrite($socket, substr($bytes, $sent));
            if ($part === false || $part === 0) {
                return false;
            }
        }

        return true;
    }

    public function ask(string $question): void
    {
        // One that has ended is found out when its answer is read.
        @fwrite($this->socket, "{$question}\n");
    }

    /** @return string|null what it answers to the oldest question, waiting for it; null: it has ended */
    public function answer(): ?string
    {
        $head = stream_get_contents($this->socket, self::HEAD);
        if (! is_string($head) || strlen($head) < self::HEAD) {
            return null;
        }
        /** @var array{1: int} $length */
        $length = unpack('J', $head);
        $text = stream_get_contents($this->socket, $length[1]);

        return is_string($text) && strlen($text) === $length[1] ? $text : null;
    }

    public function end(): void
    {
        fclose($this->socket);
        posix_kill($this->process, SIGKILL);
        pcntl_waitpid($this->process, $status);
    }
}
