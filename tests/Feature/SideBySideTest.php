<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Operations\SideBySide;
use Generator;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use RuntimeException;
use Tests\TestCase;

/** Many questions are answered by several processes, each question once, and whatever happens to a helper is made up for. */
final class SideBySideTest extends TestCase
{
    private int $here;

    protected function setUp(): void
    {
        parent::setUp();
        config(['anthesis.processors' => 3]);
        $this->here = (int) getmypid();
    }

    /** @return list<string> */
    private static function questions(int $count): array
    {
        return array_map(static fn (int $i): string => "question {$i}", range(1, $count));
    }

    /**
     * @param  Generator<string, string>  $answers
     * @return array<string, string>
     */
    private static function sorted(Generator $answers): array
    {
        $answers = iterator_to_array($answers);
        ksort($answers, SORT_NATURAL);

        return $answers;
    }

    private static function isRunning(int $process): bool
    {
        return posix_kill($process, 0);
    }

    public function test_each_question_is_answered_once_by_as_many_processes_as_there_are_processors(): void
    {
        $answers = $counts = [];
        foreach (SideBySide::each(self::questions(30), static fn (string $asked): string => getmypid()." {$asked}") as $asked => $answer) {
            [$process, $text] = explode(' ', $answer, 2);
            $process = (int) $process;
            self::assertSame($asked, $text);
            $answers[] = $asked;
            $counts[$process] = ($counts[$process] ?? 0) + 1;
        }
        sort($answers, SORT_NATURAL);
        self::assertSame(self::questions(30), $answers);
        self::assertSame(1, $counts[$this->here], 'the first is answered here, before there are helpers');
        self::assertCount(4, $counts, 'by us and three helpers');
        foreach (array_diff(array_keys($counts), [$this->here]) as $helper) {
            self::assertFalse(self::isRunning($helper), 'no helper is left behind');
        }
    }

    #[TestWith([1, 30])]
    #[TestWith([3, 8])]
    #[TestWith([3, 1])]
    #[TestWith([3, 0])]
    public function test_one_processor_or_few_questions_need_no_helper(int $processors, int $questions): void
    {
        config(['anthesis.processors' => $processors]);
        $asked = array_slice(self::questions(30), 0, $questions);
        self::assertSame(
            array_fill_keys($asked, (string) $this->here),
            iterator_to_array(SideBySide::each($asked, static fn (): string => (string) getmypid())),
        );
    }

    public function test_long_answers_arrive_whole(): void
    {
        $long = static fn (string $asked): string => str_repeat("{$asked}\n\0", 200_000);
        foreach (SideBySide::each(self::questions(12), $long) as $asked => $text) {
            self::assertSame(hash('xxh3', $long($asked)), hash('xxh3', $text));
        }
        self::assertSame(
            array_fill_keys(self::questions(12), ''),
            self::sorted(SideBySide::each(self::questions(12), static fn (): string => '')),
        );
    }

    public function test_what_a_lost_helper_was_asked_is_answered_here(): void
    {
        $killed = function (string $asked): string {
            if (getmypid() !== $this->here && str_ends_with($asked, '5')) {
                posix_kill((int) getmypid(), SIGKILL);
            }

            return $asked;
        };
        $answers = iterator_to_array(SideBySide::each(self::questions(40), $killed), false);
        sort($answers, SORT_NATURAL);
        self::assertSame(self::questions(40), $answers);
    }

    public function test_an_error_reaches_whoever_asked(): void
    {
        $got = [];
        try {
            foreach (SideBySide::each(self::questions(20), static function (string $asked): string {
                return $asked === 'question 9' ? throw new RuntimeException('There is no answer to 9.') : $asked;
            }) as $asked => $answer) {
                $got[] = $asked;
            }
            self::fail('no error');
        } catch (RuntimeException $error) {
            self::assertSame('There is no answer to 9.', $error->getMessage());
        }
        self::assertNotContains('question 9', $got);
        self::assertGreaterThanOrEqual(10, count($got), 'the others went on in the meantime');
    }

    public function test_a_helper_has_no_database_and_leaves_ours_alone(): void
    {
        $connection = static fn (): string => getmypid().' on '.DB::scalar('SELECT CONNECTION_ID()');
        $ours = $connection();
        self::assertSame(
            array_fill_keys(self::questions(12), $ours),
            self::sorted(SideBySide::each(self::questions(12), $connection)),
            'all were answered here',
        );
        self::assertSame($ours, $connection());
    }

    public function test_whoever_takes_no_more_stops_the_helpers(): void
    {
        $helpers = [];
        foreach (SideBySide::each(self::questions(20), static fn (): string => (string) getmypid()) as $process) {
            $helpers[] = (int) $process;
            if (count($helpers) === 4) {
                break;
            }
        }
        // The generator ended with the loop, and its helpers with it.
        foreach (array_diff($helpers, [$this->here]) as $helper) {
            self::assertFalse(self::isRunning($helper));
        }
        self::assertCount(4, $helpers);
    }
}
