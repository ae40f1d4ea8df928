<?php

declare(strict_types=1);

namespace Anthesis\Tables;

use InflateContext;

/**
 * The lines of a text file, plain or gzipped, read in pieces so the file may be of any size.
 *
 * Lines come as UTF-8 (an older 8-bit text is treated as ISO 8859-1), without line endings and without a byte order mark. A gzipped file
 * may have several members (RFC 1952, 2.2), which form one text; each must be complete.
 */
final class LineSource
{
    private const LONGEST_LINE = 65536;

    private const PIECE = 262144;

    /** Compressed bytes processed at a time. Deflate expands them at most a thousandfold, so no step needs more than a few MiB. */
    private const SLICE = 8192;

    /** Most bytes a compressed file may expand to. A daily record of 150 years has about 2 MiB. */
    public const MOST_UNPACKED = 268435456;

    /**
     * Daily records compress to a tenth. A file that expands to more than this many times its size is meant to fill the memory, not to be
     * read …
     */
    private const MOST_FOLD = 40;

    /** … unless it is small anyway. */
    private const ALWAYS_UNPACKED = 33554432;

    /** Most lines a file may have: a hundred stations of 150 years have half as many. */
    private const MOST_LINES = 10_000_000;

    /** Number of the line returned last, from 1. */
    public int $number = 0;

    private string $buffer = '';

    private int $at = 0;

    private bool $ended = false;

    private bool $packed = false;

    /** The member being decompressed; null between two. */
    private ?InflateContext $inflate = null;

    /** Compressed bytes read and not yet decompressed. */
    private string $pending = '';

    private int $unpacked = 0;

    /** Compressed bytes read. */
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

    /** @return list<string> up to this many of the next lines, without consuming them */
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

    /** @return string the text that follows; empty at the end, which is then remembered */
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

    /** @return string the text of the next slices of the compressed file, until there is some; empty at its proper end */
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

    /** Starts the next member; false if only the padding that some programs add is left. */
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
