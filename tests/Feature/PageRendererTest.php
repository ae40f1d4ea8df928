<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gardener\Page;
use App\Gardener\PageRenderer;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Facades\Storage;
use RuntimeException;
use Tests\TestCase;

final class PageRendererTest extends TestCase
{
    private function home(string $zone): Page
    {
        return new Page('home', ['asked' => false, 'found' => false, 'zones' => [['slug' => 'x', 'name' => $zone, 'district' => 'D', 'height_m' => 1, 'settlements' => []]]], 'Home');
    }

    public function test_pages_are_rendered_in_order_and_only_what_is_new(): void
    {
        $html = (new PageRenderer)->render([$this->home('North'), $this->home('South')]);
        self::assertStringContainsString('North', $html[0]);
        self::assertStringContainsString('South', $html[1]);
        self::assertCount(2, Storage::disk('published')->allFiles());

        Process::preventStrayProcesses();
        self::assertSame([$html[1], $html[0]], (new PageRenderer)->render([$this->home('South'), $this->home('North')]));
    }

    public function test_what_a_zone_is_called_cannot_break_out_of_the_page(): void
    {
        $page = $this->home('</script><script>alert(1)</script>');
        self::assertStringNotContainsString('<', $page->json());
        self::assertStringContainsString('&lt;script&gt;', (new PageRenderer)->render([$page])[0]);
    }

    public function test_a_renderer_that_fails_says_so_and_keeps_nothing(): void
    {
        Process::fake(['*' => Process::result(errorOutput: 'no such component', exitCode: 1)]);
        try {
            (new PageRenderer)->render([$this->home('North')]);
            self::fail('It should have been refused.');
        } catch (RuntimeException $error) {
            self::assertStringContainsString('could not be rendered: no such component', $error->getMessage());
        }
        self::assertSame([], Storage::disk('published')->allFiles());
    }
}
