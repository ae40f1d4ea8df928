<?php

declare(strict_types=1);

namespace App\Gardener;

use Illuminate\Support\Facades\Process;
use Illuminate\Support\Facades\Storage;
use RuntimeException;

/**
 * Renders gardener's pages to HTML with the same components the browser hydrates, and keeps each under a fingerprint of
 * the components and of all it shows. Node is only started for what has never been rendered.
 */
final class PageRenderer
{
    private ?string $build = null;

    /**
     * @param  list<Page>  $pages
     * @return list<string> HTML, in the same order
     */
    public function render(array $pages): array
    {
        $disk = Storage::disk('published');
        $files = [];
        $html = [];
        $missing = [];
        foreach ($pages as $i => $page) {
            $files[$i] = $this->file($page);
            if ($disk->exists($files[$i])) {
                $html[$i] = (string) $disk->get($files[$i]);
            } else {
                $missing[$i] = $page;
            }
        }
        foreach (array_combine(array_keys($missing), $this->run(array_values($missing))) as $i => $rendered) {
            $disk->put($files[$i], $rendered);
            $html[$i] = $rendered;
        }
        ksort($html);

        return array_values($html);
    }

    private function file(Page $page): string
    {
        $this->build ??= is_file($this->program()) ? (string) hash_file('sha256', $this->program()) : '';
        $hash = hash('sha256', $this->build.$page->json());

        return substr($hash, 0, 2)."/{$hash}.html";
    }

    /**
     * @param  list<Page>  $pages
     * @return list<string>
     */
    private function run(array $pages): array
    {
        if ($pages === []) {
            return [];
        }
        if (! is_file($this->program())) {
            throw new RuntimeException('The gardener’s pages are not built. Run: npm run build');
        }
        $result = Process::timeout(60)
            ->input('['.implode(',', array_map(static fn (Page $p): string => $p->json(), $pages)).']')
            ->run([(string) config('anthesis.node'), $this->program()]);
        if ($result->failed()) {
            throw new RuntimeException('The gardener’s pages could not be rendered: '.trim($result->errorOutput()));
        }
        $html = json_decode($result->output(), true, 8, JSON_THROW_ON_ERROR);

        return is_array($html) && count($html) === count($pages) ? array_values($html)
            : throw new RuntimeException('The renderer gave back another number of pages than it was asked for.');
    }

    private function program(): string
    {
        return base_path('bootstrap/ssr/server.js');
    }
}
