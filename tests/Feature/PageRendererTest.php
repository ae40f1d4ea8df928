<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gardener\Page;
use App\Gardener\PageRenderer;
use Illuminate\Support\Facades\Process;
use RuntimeException;
use Tests\TestCase;

final class PageRendererTest extends TestCase
{
    private function home(string $zone): Page
    {
        return new Page(
            'home',
            '/',
            [
                'asked' => false,
                'found' => false,
                'zones' => [
                    [
                        'slug' => 'x',
                        'name' => $zone,
                        'district' => 'D',
                        'height_m' => 1,
                        'latitude' => 1,
                        'longitude' => 1,
                        'rings' => [],
                        'settlements' => [],
                    ],
                ],
            ],
            'Home',
            'Where to look.',
        );
    }

    public function test_pages_are_rendered_under_their_keys_as_whole_documents(): void
    {
        $html = (new PageRenderer())->render(['n' => $this->home('North'), 's' => $this->home('South')]);
        self::assertSame(['n', 's'], array_keys($html));
        self::assertStringContainsString('North', $html['n']);
        self::assertStringContainsString('<meta name="description" content="Where to look.">', $html['s']);
        self::assertStringStartsWith('<!doctype html>', $html['s']);
        self::assertStringNotContainsString(
            'application/json',
            $html['s'],
            'a page carries no data of its own to be worked on again',
        );
    }

    public function test_more_pages_than_one_process_makes_come_under_their_keys_too(): void
    {
        $names = array_map(static fn (int $i): string => "Zone {$i} of many", range(1, 451));
        $html = (new PageRenderer())->render(array_map($this->home(...), array_combine($names, $names)));
        self::assertSame($names, array_keys($html));
        foreach ($html as $name => $page) {
            self::assertStringContainsString($name, $page);
        }
    }

    public function test_what_a_zone_is_called_cannot_break_out_of_the_page(): void
    {
        $html = (new PageRenderer())->render([$this->home('</script><script>alert(1)</script>')])[0];
        self::assertStringContainsString('&lt;script&gt;', $html);
        self::assertStringNotContainsString('<script>alert', $html);
    }

    public function test_a_renderer_that_fails_says_so(): void
    {
        Process::fake(['*' => Process::result(errorOutput: 'no such component', exitCode: 1)]);
        $this->expectException(RuntimeException::class);
        $this->expectExceptionMessage('could not be rendered: no such component');
        (new PageRenderer())->render([$this->home('North')]);
    }

    public function test_other_components_are_another_program(): void
    {
        self::assertMatchesRegularExpression('/^[0-9a-f]{64}$/', (new PageRenderer())->program());
    }
}
