<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gardener\Page;
use App\Gardener\PageRenderer;
use App\Gardener\RenderingProcess;
use Illuminate\Queue\Events\Looping;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\File;
use RuntimeException;
use Symfony\Component\Process\Process;
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

    public function test_a_renderer_that_fails_says_so_and_the_next_one_is_a_new_one(): void
    {
        RenderingProcess::closeAll();
        $failing = (string) tempnam(sys_get_temp_dir(), 'renderer');
        file_put_contents($failing, "#!/bin/sh\necho no such component >&2\nexit 1\n");
        chmod($failing, 0700);
        $node = config('anthesis.node');
        config(['anthesis.node' => $failing]);
        try {
            (new PageRenderer())->render([$this->home('North')]);
            self::fail('nothing was said');
        } catch (RuntimeException $why) {
            self::assertSame('The public pages could not be rendered: no such component', $why->getMessage());
        } finally {
            unlink($failing);
            config(['anthesis.node' => $node]);
        }
        self::assertStringContainsString('North', (new PageRenderer())->render([$this->home('North')])[0]);
    }

    public function test_pages_nobody_waited_for_are_not_taken_for_the_next_ones(): void
    {
        foreach ((new PageRenderer())->each(array_fill(0, 200, $this->home('North'))) as $html) {
            self::assertIsString($html);
            break;
        }
        self::assertStringContainsString('South', (new PageRenderer())->render([$this->home('South')])[0]);
    }

    public function test_one_process_makes_pages_of_several_requests_until_it_is_closed(): void
    {
        $running = static fn (): array => array_filter(
            explode("\n", (string) shell_exec('ps -o pid=,args= --ppid '.getmypid())),
            static fn (string $line): bool => str_contains($line, 'bootstrap/ssr/server.js'),
        );
        RenderingProcess::closeAll();
        self::assertSame([], $running());
        (new PageRenderer())->render([$this->home('North')]);
        $first = $running();
        self::assertCount(1, $first);
        (new PageRenderer())->render([$this->home("A line\u{2028}in a name\nand another")]);
        self::assertSame($first, $running());
        Event::dispatch(new Looping('database', 'default'));
        self::assertSame([], $running(), 'a worker without a job keeps none');
    }

    public function test_a_page_on_request_is_made_by_the_service_and_without_it_by_a_process(): void
    {
        $run = sys_get_temp_dir().'/renderer-'.uniqid();
        mkdir($run);
        file_put_contents("{$run}/socket", "{$run}/php.sock\n");
        $page = $this->home('North');
        $whole = (new PageRenderer())->render([$page])[0];
        RenderingProcess::closeAll();
        $node = config('anthesis.node');
        $service = new Process([$node, base_path('bootstrap/ssr/server.js'), "{$run}/renderer.sock"]);
        $service->start();
        try {
            // The file is there a moment before anybody listens.
            for ($i = 0; $i < 6000 && @stream_socket_client("unix://{$run}/renderer.sock") === false; $i++) {
                usleep(10_000);
            }
            // What a process would say has to come from the service, however busy the machine is.
            config(['anthesis.run' => $run, 'anthesis.node' => '/bin/false', 'anthesis.renderer_seconds' => 300]);
            for ($asked = 0; $asked < 2; $asked++) {
                self::assertSame($whole, (new PageRenderer())->respond($page)->getContent());
            }
            $page = new Page('home', '/', ['zones' => null], 'Home', 'Where to look.');
            try {
                (new PageRenderer())->respond($page);
                self::fail('a page that cannot be made was answered');
            } catch (RuntimeException $why) {
                // It was tried again by a process.
                self::assertStringStartsWith('The public pages could not be rendered', $why->getMessage());
            }
            $service->stop(0);
            config(['anthesis.node' => $node]);
            self::assertSame($whole, (new PageRenderer())->respond($this->home('North'))->getContent());
        } finally {
            $service->stop(0);
            File::deleteDirectory($run);
        }
    }

    public function test_other_components_are_another_program(): void
    {
        self::assertMatchesRegularExpression('/^[0-9a-f]{64}$/', (new PageRenderer())->program());
    }
}
