<?php

declare(strict_types=1);

namespace Tests\Contract;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use Symfony\Component\Yaml\Yaml;

/** docs/openapi.yaml, in a form that responses can be validated against. */
final class Contract
{
    /** Busy for a moment, and no room on the disk. */
    private const ANY = [415, 503, 507];

    private const ID = 'https://anthesis.example/openapi.json';

    private static ?self $read = null;

    private readonly Validator $validator;

    /** @var array<string, true> operations with a validated response */
    public array $seen = [];

    /** @var array<string, true> answers that were valid, by operation and hash */
    private array $fitted = [];

    /** @param  array<string, mixed>  $document */
    private function __construct(public readonly array $document)
    {
        $this->validator = new Validator();
        $this->validator->resolver()?->registerRaw((string) json_encode($document), self::ID);
    }

    public static function read(): self
    {
        return self::$read ??= new self(Yaml::parseFile(dirname(__DIR__, 2).'/docs/openapi.yaml'));
    }

    /** @return list<string> "GET /api/zones/{zone}" */
    public function operations(): array
    {
        $operations = [];
        foreach ($this->document['paths'] as $path => $item) {
            foreach (array_intersect(['get', 'post', 'patch', 'put', 'delete'], array_keys($item)) as $method) {
                $operations[] = strtoupper($method).' '.$path;
            }
        }

        return $operations;
    }

    public function assertFits(string $method, string $path, int $status, string $json): void
    {
        $template = $this->template('/'.ltrim($path, '/'));
        Assert::assertNotNull($template, "{$path} answers in JSON and is not in the contract.");
        $responses = $this->document['paths'][$template][strtolower($method)]['responses'] ?? [];
        if ($status === 405 && $responses === []) {
            return;
        }
        // What any request may be answered with, as the contract's description says.
        $responses += array_fill_keys(self::ANY, ['$ref' => '#/components/responses/Refused']);
        Assert::assertArrayHasKey(
            $status,
            $responses,
            "{$method} {$template} answered {$status}, which the contract does not know: {$json}",
        );
        $pointer = '#/paths/'.str_replace('/', '~1', $template).'/'.strtolower($method).'/responses/'.$status;
        $response = $responses[$status];
        if (isset($response['$ref'])) {
            $pointer = $response['$ref'];
        }
        // An edition's document takes longer to validate than to answer, and is requested again and again.
        $answer = "{$method} {$template} {$status} ".hash('xxh128', $json);
        if (isset($this->fitted[$answer])) {
            return;
        }
        $result = $this->validator->validate(
            json_decode($json, false, 64, JSON_THROW_ON_ERROR),
            self::ID.str_replace(['{', '}'], ['%7B', '%7D'], $pointer).'/content/application~1json/schema',
        );
        $error = $result->error();
        Assert::assertTrue(
            $error === null,
            "{$method} {$template} {$status} breaks the contract: ".
                ($error === null ? '' : json_encode((new ErrorFormatter())->format($error)).''),
        );
        $this->fitted[$answer] = $this->seen["{$method} {$template}"] = true;
    }

    private function template(string $path): ?string
    {
        $exact = array_keys($this->document['paths']);
        if (in_array($path, $exact, true)) {
            return $path;
        }
        foreach ($exact as $template) {
            $pattern = preg_replace('/\\\\\{[a-zA-Z]+\\\\\}/', '[^/]+', preg_quote($template, '#'));
            if (preg_match("#^{$pattern}$#", $path) === 1) {
                return $template;
            }
        }

        return null;
    }
}
