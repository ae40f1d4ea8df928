<?php

declare(strict_types=1);

namespace App\Gardener;

use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Contracts\Process\ProcessResult;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Str;
use RuntimeException;

/**
 * Prints a page to PDF on the server.
 *
 * With headless Chromium, if it is installed: it prints the same pages that people read, with their charts, and tags headings, tables, and
 * language for screen readers. Otherwise with dompdf, which needs nothing installed, but draws no hatches and tags nothing. Either one gets
 * a file with its styles and loads nothing.
 */
final class PdfPress
{
    private const SECONDS = 60;

    /** @return string the PDF */
    public function print(string $html, PaperSize $size): string
    {
        $chromium = (string) config('anthesis.chromium');

        return $chromium === '' ? $this->plainly($html, $size) : $this->withChromium($chromium, self::aloneStanding($html));
    }

    /** @return string where sheets are kept once they are made */
    public static function folder(): string
    {
        return (string) config('anthesis.paper');
    }

    /** Whether headings, tables, and language are tagged in the result. */
    public static function tags(): bool
    {
        return (string) config('anthesis.chromium') !== '';
    }

    private function withChromium(string $program, string $html): string
    {
        $folder = storage_path('app/press/'.Str::random(20));
        File::ensureDirectoryExists($folder);
        try {
            File::put("{$folder}/sheet.html", $html);
            $result = self::run($program, $folder, self::isRoot());
            if (! is_file("{$folder}/sheet.pdf") && ! self::isRoot() && str_contains($result->errorOutput(), 'sandbox')) {
                // Some machines do not let programs make a sandbox. It prints our own page, which loads nothing and runs nothing.
                Log::notice('sheets are printed without a sandbox: this machine allows none');
                $result = self::run($program, $folder, true);
            }
            if (! is_file("{$folder}/sheet.pdf")) {
                throw new RuntimeException('The PDF could not be made: '.trim($result->errorOutput()));
            }

            return File::get("{$folder}/sheet.pdf");
        } finally {
            File::deleteDirectory($folder);
        }
    }

    /** Chromium makes no sandbox for root. */
    private static function isRoot(): bool
    {
        return function_exists('posix_geteuid') && posix_geteuid() === 0;
    }

    private static function run(string $program, string $folder, bool $withoutSandbox): ProcessResult
    {
        return Process::timeout(self::SECONDS)->run([
            $program,
            '--headless',
            ...$withoutSandbox ? ['--no-sandbox'] : [],
            '--disable-gpu',
            '--no-first-run',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--disable-quic',
            '--disable-dev-shm-usage',
            '--disable-extensions',
            '--host-resolver-rules=MAP * ~NOTFOUND',
            '--allow-file-access-from-files',
            "--user-data-dir={$folder}/profile",
            '--no-pdf-header-footer',
            '--generate-pdf-document-outline',
            "--print-to-pdf={$folder}/sheet.pdf",
            "file://{$folder}/sheet.html",
        ]);
    }

    private function plainly(string $html, PaperSize $size): string
    {
        $options = new Options();
        $options->setIsRemoteEnabled(false);
        $options->setIsPhpEnabled(false);
        $options->setDefaultFont('DejaVu Serif');
        $press = new Dompdf($options);
        $press->setPaper(
            match ($size) {
                PaperSize::A4 => 'a4',
                PaperSize::Letter => 'letter',
                PaperSize::A3 => 'a3',
                PaperSize::Tabloid => 'tabloid',
            },
            $size === PaperSize::A3 || $size === PaperSize::Tabloid ? 'landscape' : 'portrait',
        );
        // Charts are left out: it cannot draw hatches, and the dates beside them say the same.
        $text = preg_replace(
            ['#<(?:link|meta http-equiv)[^>]*>#', '#<style>.*?</style>#s', '#<svg(?![^>]*class="code")[^>]*>.*?</svg>#s'],
            ['', '', ''],
            $html,
        );
        $press->loadHtml(
            str_replace(
                '</head>',
                '<style>'.(string) file_get_contents(resource_path('css/press.css')).'</style></head>',
                (string) $text,
            ),
            'UTF-8',
        );
        $press->render();

        return (string) $press->output();
    }

    /** @return string the page with its fonts from this machine */
    private static function aloneStanding(string $html): string
    {
        // Its styles then differ from the ones its own policy names; it loads nothing anyway.
        return (string) preg_replace(
            ['#<meta http-equiv="Content-Security-Policy"[^>]*>#', '#url\((/build/[^)]+)\)#'],
            ['', 'url(file://'.public_path().'$1)'],
            $html,
        );
    }
}
