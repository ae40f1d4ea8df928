<?php

declare(strict_types=1);

namespace Anthesis\Crop;

use Closure;

/** Crops in the order of their book, each with its varieties. It is read when it is first used. */
final class CropBook
{
    /** @var array{list<Crop>, array<string, list<Variety>>}|null */
    private ?array $read = null;

    /** @param  Closure(): array{list<Crop>, array<string, list<Variety>>}  $source  crops, and varieties by crop */
    private function __construct(private readonly Closure $source)
    {
    }

    /** @param  Closure(): array{list<Crop>, array<string, list<Variety>>}  $source  crops, and varieties by crop */
    public static function from(Closure $source): self
    {
        return new self($source);
    }

    /**
     * @param  list<Crop>  $crops
     * @param  array<string, list<Variety>>  $varieties  by crop
     */
    public static function of(array $crops, array $varieties = []): self
    {
        return new self(static fn (): array => [$crops, $varieties]);
    }

    public static function none(): self
    {
        return self::of([]);
    }

    /** @return self with one crop and its varieties */
    public function only(Crop $crop): self
    {
        return self::of([$crop], array_intersect_key($this->varieties(), [$crop->slug => true]));
    }

    /** @return list<Crop> */
    public function crops(): array
    {
        return $this->read()[0];
    }

    /** @return array<string, list<Variety>> by crop; a crop without varieties is left out */
    public function varieties(): array
    {
        return $this->read()[1];
    }

    /** @return list<Variety> of a crop */
    public function varietiesOf(string $crop): array
    {
        return $this->varieties()[$crop] ?? [];
    }

    /** @return string of every number and word in it, SHA-256 in hexadecimal */
    public function fingerprint(): string
    {
        return hash('sha256', json_encode($this->read(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }

    /** @return array{list<Crop>, array<string, list<Variety>>} */
    private function read(): array
    {
        return $this->read ??= ($this->source)();
    }
}
