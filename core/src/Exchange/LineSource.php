<?php

declare(strict_types=1);

namespace Anthesis\Exchange;

use InflateContext;

/**
 * The lines of a text file, plain or gzipped, read in pieces so that the file may be of any size.
 *
 * Lines come as UTF-8 (an older 8-bit text is taken for ISO 8859-1), without their ends and without a byte order mark.
 */
final class LineSource
{
    private const LONGEST_LINE = 65536;

    private const PIECE = 262144;

    private const NOT_TEXT = 'this is not text. Bring the station’s table as a CSV or text file, not a spreadsheet, archive or picture.';

    /** Number of the line last given, from 1. */
    public int $number = 0;

    private string $buffer = '';

    private int $at = 0;

    private bool $ended = false;

    private ?InflateContext $inflate = null;

    /** @var list<string> lines read ahead */
    private array $ahead = [];

    /** @param  resource  $stream open for reading, at its start */
    public function __construct(private $stream)
    {
        $start = $this->piece();
        if (str_starts_with($start, "\x1f\x8b")) {
            $this->inflate = inflate_init(ZLIB_ENCODING_GZIP) ?: throw FormatError::inFile('Gzipped files cannot be read here. Bring the file unpacked.');
            $start = $this->inflated($start);
        }
        $this->buffer = (string) preg_replace('/^\xEF\xBB\xBF/', '', $start);
    }

    /** @return string|null null at the end */
    public function next(): ?string
    {
        $line = array_shift($this->ahead) ?? $this->read($this->number + 1);
        if ($line !== null) {
            $this->number++;
        }

        return $line;
    }

    /** @return list<string> up to so many of the lines to come, without taking them */
    public function peek(int $lines): array
    {
        while (count($this->ahead) < $lines && ($line = $this->read($this->number + count($this->ahead) + 1)) !== null) {
            $this->ahead[] = $line;
        }

        return array_slice($this->ahead, 0, $lines);
    }

    private function read(int $number): ?string
    {
        while (($end = strpos($this->buffer, "\n", $this->at)) === false && ! $this->ended) {
            if (strlen($this->buffer) - $this->at > self::LONGEST_LINE) {
                break;
            }
            $this->buffer = substr($this->buffer, $this->at).$this->more();
            $this->at = 0;
        }
        if ($end === false && $this->at >= strlen($this->buffer)) {
            return null;
        }
        $line = $end === false ? substr($this->buffer, $this->at) : substr($this->buffer, $this->at, $end - $this->at);
        $this->at = $end === false ? strlen($this->buffer) : $end + 1;
        $latin = ! mb_check_encoding($line, 'UTF-8');
        if (preg_match($latin ? '/[\x00-\x08\x0E-\x1F\x80-\x9F]/' : '/[\x00-\x08\x0E-\x1F]/', $line) === 1) {
            throw FormatError::at($number, self::NOT_TEXT);
        }
        if (strlen($line) > self::LONGEST_LINE) {
            throw FormatError::at($number, 'the line is longer than '.self::LONGEST_LINE.' characters. Bring a table with one row a day.');
        }

        return rtrim($latin ? mb_convert_encoding($line, 'UTF-8', 'ISO-8859-1') : $line, "\r");
    }

    private function more(): string
    {
        $piece = $this->piece();
        if ($piece === '') {
            $this->ended = true;
        }

        return $piece === '' || $this->inflate === null ? $piece : $this->inflated($piece);
    }

    private function piece(): string
    {
        return feof($this->stream) ? '' : (string) fread($this->stream, self::PIECE);
    }

    private function inflated(string $piece): string
    {
        $text = $this->inflate === null ? $piece : @inflate_add($this->inflate, $piece);

        return $text !== false ? $text : throw FormatError::inFile('The gzipped file is damaged. Pack or fetch it again.');
    }
}
