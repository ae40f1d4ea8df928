<?php

declare(strict_types=1);

namespace Anthesis\Tables;

use InflateContext;

/**
 * The lines of a text file, plain or gzipped, read in pieces so that the file may be of any size.
 *
 * Lines come as UTF-8 (an older 8-bit text is taken for ISO 8859-1), without their ends and without a byte order mark.
 * A gzipped file may have several members (RFC 1952, 2.2), which follow one another as one text; each must be whole.
 */
final class LineSource
{
    private const LONGEST_LINE = 65536;

    private const PIECE = 262144;

    /** Packed bytes taken at a time: deflate makes at most a thousandfold of them, so no step needs more than some MiB. */
    private const SLICE = 8192;

    /** Most bytes a packed file may come to. A daily record of 150 years has about 2 MiB. */
    public const MOST_UNPACKED = 268435456;

    /** Daily records pack to a tenth. What comes to more than so many times its packed size is made to fill a memory, not to be read … */
    private const MOST_FOLD = 40;

    /** … unless it is small all the same. */
    private const ALWAYS_UNPACKED = 33554432;

    /** Most lines a file may have: a hundred stations of 150 years have half as many. */
    private const MOST_LINES = 10_000_000;

    /** Number of the line last given, from 1. */
    public int $number = 0;

    private string $buffer = '';

    private int $at = 0;

    private bool $ended = false;

    private bool $packed = false;

    /** The member being unpacked; null between two. */
    private ?InflateContext $inflate = null;

    /** Packed bytes read and not yet unpacked. */
    private string $pending = '';

    private int $unpacked = 0;

    /** Packed bytes read. */
    private int $read = 0;

    /** @var list<string> lines read ahead */
    private array $ahead = [];

    /** @param  resource  $stream open for reading, at its start */
    public function __construct(private $stream)
    {
        $start = $this->piece();
        if (str_starts_with($start, "\x1f\x8b")) {
            $this->packed = true;
            $this->pending = $start;
            $start = $this->unpack();
        }
        $this->buffer = (string) preg_replace('/^\xEF\xBB\xBF/', '', $start);
    }

    /** @return string|null null at the end */
    public function next(): ?string
    {
        $line = array_shift($this->ahead) ?? $this->read($this->number + 1);
        if ($line !== null && ++$this->number > self::MOST_LINES) {
            throw FormatError::inFile('file.too-many-lines');
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
            throw FormatError::at($number, 'file.no-text');
        }
        if (strlen($line) > self::LONGEST_LINE) {
            throw FormatError::at($number, 'file.long-line', ['most' => self::LONGEST_LINE]);
        }

        return rtrim($latin ? mb_convert_encoding($line, 'UTF-8', 'ISO-8859-1') : $line, "\r");
    }

    /** @return string the text that follows; empty at the end, which is then noted */
    private function more(): string
    {
        $text = $this->packed ? $this->unpack() : $this->piece();
        if ($text === '') {
            $this->ended = true;
        }

        return $text;
    }

    private function piece(): string
    {
        $piece = feof($this->stream) ? '' : (string) fread($this->stream, self::PIECE);
        $this->read += strlen($piece);

        return $piece;
    }

    /** @return string the text of the next slices of the packed file, until there is some; empty at its proper end */
    private function unpack(): string
    {
        $text = '';
        while ($text === '') {
            if ($this->pending === '' && ($this->pending = $this->piece()) === '') {
                return $this->inflate === null ? '' : throw FormatError::inFile('file.cut-short');
            }
            if ($this->inflate === null && ! $this->nextMember()) {
                continue;
            }
            $text = $this->slice();
        }
        $this->unpacked += strlen($text);
        $most = min(self::MOST_UNPACKED, max(self::ALWAYS_UNPACKED, self::MOST_FOLD * $this->read));
        if ($this->unpacked > $most) {
            throw FormatError::inFile('file.too-large', ['most' => intdiv($most, 1048576)]);
        }

        return $text;
    }

    /** Begins the next member; false where only the padding some programs add is left of the piece. */
    private function nextMember(): bool
    {
        $this->pending = ltrim($this->pending, "\0");
        if ($this->pending === '') {
            return false;
        }
        $this->inflate = inflate_init(ZLIB_ENCODING_GZIP) ?: throw FormatError::inFile('file.no-gzip');

        return true;
    }

    private function slice(): string
    {
        $slice = substr($this->pending, 0, self::SLICE);
        assert($this->inflate !== null);
        $before = inflate_get_read_len($this->inflate);
        $text = @inflate_add($this->inflate, $slice);
        if ($text === false) {
            throw FormatError::inFile('file.damaged');
        }
        if (inflate_get_status($this->inflate) === ZLIB_STREAM_END) {
            $this->pending = substr($this->pending, inflate_get_read_len($this->inflate) - $before);
            $this->inflate = null;
        } else {
            $this->pending = substr($this->pending, strlen($slice));
        }

        return $text;
    }
}
