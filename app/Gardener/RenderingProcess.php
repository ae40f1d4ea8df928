<?php

declare(strict_types=1);

namespace App\Gardener;

use RuntimeException;
use Symfony\Component\Process\InputStream;
use Symfony\Component\Process\Process;

/**
 * A Node process that makes pages. It stays open between requests for pages, as long as the PHP process runs or until somebody closes it:
 * a process that has made a few hundred makes the next ones three times as fast.
 */
final class RenderingProcess
{
    private const SECONDS = 300;

    /** @var array<int, self> by number */
    private static array $open = [];

    private readonly InputStream $input;

    private readonly Process $process;

    private string $output = '';

    private string $errors = '';

    private float $until = INF;

    /** @param  list<string>  $command */
    private function __construct(array $command)
    {
        $this->input = new InputStream();
        $this->process = new Process($command, input: $this->input, timeout: null);
        $this->process->disableOutput();
        $this->process->start(function (string $type, string $text): void {
            if ($type === Process::OUT) {
                $this->output .= $text;
            } else {
                $this->errors .= $text;
            }
        });
    }

    /**
     * @param  int  $number  which of those that work side by side
     * @param  list<string>  $command  what to start, unless it is open
     */
    public static function open(int $number, array $command): self
    {
        if (isset(self::$open[$number]) && ! self::$open[$number]->process->isRunning()) {
            unset(self::$open[$number]);
        }

        return self::$open[$number] ??= new self($command);
    }

    /** Ends all that are open. They take memory, and what they make is what their program was when they started. */
    public static function closeAll(): void
    {
        foreach (self::$open as $process) {
            $process->input->close();
            $process->process->stop(0);
        }
        self::$open = [];
    }

    /** @param  string  $request  without line breaks */
    public function ask(string $request): void
    {
        $this->until = microtime(true) + self::SECONDS;
        $this->input->write("{$request}\n");
    }

    /**
     * @return string|null what it says to what it was asked; null: nothing yet, ask again
     *
     * @throws RuntimeException if it ended, or takes too long
     */
    public function answer(): ?string
    {
        // Reads and writes as much as there is, and does not wait.
        $runs = $this->process->isRunning();
        $end = strpos($this->output, "\n");
        if ($end !== false) {
            $answer = substr($this->output, 0, $end);
            $this->output = substr($this->output, $end + 1);

            return $answer;
        }
        if (! $runs) {
            throw new RuntimeException('The public pages could not be rendered: '.trim($this->errors));
        }
        if (microtime(true) > $this->until) {
            throw new RuntimeException('The public pages could not be rendered in '.self::SECONDS.' seconds.');
        }

        return null;
    }
}
