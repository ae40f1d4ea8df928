<?php

declare(strict_types=1);

namespace App\Operations;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use JsonException;
use Symfony\Component\HttpFoundation\Response;

/**
 * Checks input on arrival: whatever no field can hold is refused here, with the field's name, and goes no further. Text is UTF-8 without
 * control characters and without characters that change reading direction; JSON is complete and its numbers are in range; a query string
 * has one value per name.
 */
class CleanInput
{
    /** Control characters except tab and line ends; characters that override direction; the byte order mark. */
    private const UNCLEAN = '/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F\x{80}-\x{9F}\x{202A}-\x{202E}\x{2066}-\x{2069}\x{FEFF}]/u';

    /** Content types that the desk's addresses accept. */
    private const TYPES = ['application/json', 'multipart/form-data', 'application/x-www-form-urlencoded', 'text/csv'];

    private const DEEPEST = 16;

    /** Bytes of a JSON body, by its header, checked before anything is read. */
    private const LARGEST_JSON = 1 << 20;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $address = rawurldecode($request->getPathInfo());
        if (! mb_check_encoding($address, 'UTF-8') || preg_match(self::UNCLEAN, $address) === 1) {
            abort(400, 'The address has characters that cannot be read.');
        }
        $type = strtolower(trim(explode(';', (string) $request->headers->get('Content-Type'))[0]));
        // Stations send their tables however they can.
        $isBound = $request->is('api/*') && ! $request->is('api/station-reports') && ! $request->isMethodSafe();
        if ($type !== '' && $isBound && ! in_array($type, self::TYPES, true)) {
            abort(415, 'This kind of request is not accepted. Send JSON, a form, or a table as text/csv.');
        }
        if ($request->isJson() && (int) $request->headers->get('Content-Length', '0') > self::LARGEST_JSON) {
            abort(413, 'The request is larger than '.(self::LARGEST_JSON >> 20).' MiB. Send less at a time.');
        }
        if ($request->isJson() && $request->getContent() !== '') {
            $this->json($request->getContent());
        }
        foreach ($request->query->all() as $name => $value) {
            if (is_array($value)) {
                $this->refuse((string) $name, 'has more than one value; give one.');
            }
        }
        $this->clean($request->query->all(), '');
        $this->clean($request->isJson() ? $request->json()->all() : $request->request->all(), '');
        foreach ($request->allFiles() as $name => $file) {
            if (is_array($file)) {
                $this->refuse((string) $name, 'holds several files; bring one.');
            }
        }

        return $next($request);
    }

    private function json(string $text): void
    {
        try {
            $read = json_decode($text, true, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (JsonException $error) {
            abort(400, 'The request is not JSON that can be read: '.$error->getMessage().'.');
        }
        if (! is_array($read)) {
            abort(400, 'The request is JSON, but not an object with named values.');
        }
    }

    /** @param  array<array-key, mixed>  $values */
    private function clean(array $values, string $within): void
    {
        foreach ($values as $name => $value) {
            $field = $within === '' ? (string) $name : "{$within}.{$name}";
            if (is_string($name) && ! $this->isClean($name)) {
                $this->refuse('request', 'has a field whose name cannot be read.');
            }
            if (is_array($value)) {
                $this->clean($value, $field);
            } elseif (is_string($value) && ! mb_check_encoding($value, 'UTF-8')) {
                $this->refuse($field, 'is not text in UTF-8. Type it again.');
            } elseif (is_string($value) && ! $this->isClean($value)) {
                $this->refuse(
                    $field,
                    'holds a character that cannot be seen (a control or direction mark). Type it again instead of pasting it.',
                );
            } elseif (is_float($value) && ! is_finite($value)) {
                $this->refuse($field, 'is a number too large to be one.');
            }
        }
    }

    private function isClean(string $text): bool
    {
        return preg_match(self::UNCLEAN, $text) === 0;
    }

    private function refuse(string $field, string $words): never
    {
        if (! request()->expectsJson() && ! request()->is('api/*')) {
            abort(400, 'The query in the address cannot be read.');
        }
        $name = mb_substr(str_replace(['_', '.'], ' ', mb_scrub($field, 'UTF-8')), 0, 80);
        throw ValidationException::withMessages([mb_scrub($field, 'UTF-8') => "The field “{$name}” {$words}"]);
    }
}
