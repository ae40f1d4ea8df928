<?php

declare(strict_types=1);

namespace App\Gardener;

/**
 * The Node process that runs beside the web server, for pages that a reader waits for. A web request cannot keep a process of its own, and
 * starting one takes ten times as long as making a page.
 */
final class RenderingService
{
    /** Its name in the folder that PHP's own socket is in (bin/service). */
    private const SOCKET = 'renderer.sock';

    /**
     * @param  string  $request  without line breaks
     * @return string|null what it says to it; null: it does not run, or does not answer
     */
    public static function answer(string $request): ?string
    {
        $php = config('anthesis.run') === '' ? '' : trim((string) @file_get_contents(config('anthesis.run').'/socket'));
        $seconds = (int) config('anthesis.renderer_seconds');
        $service = $php === '' ? false : @stream_socket_client('unix://'.dirname($php).'/'.self::SOCKET, timeout: $seconds);
        if ($service === false) {
            return null;
        }
        stream_set_timeout($service, $seconds);
        $answer = @fwrite($service, "{$request}\n") === false ? false : fgets($service);
        fclose($service);

        // A line without an end is one that it could not finish.
        return is_string($answer) && str_ends_with($answer, "\n") ? rtrim($answer, "\n") : null;
    }
}
