<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;

/**
 * A folder of files that are named by the SHA-256 of their content, such as station files as they were uploaded.
 *
 * A file gets its name only after all of it is on the disk: it is written beside, synced, checked against its checksum, and then
 * renamed. So a full disk or a killed process leaves no half file under a name that others trust. A name that is already there is
 * checked by its content before it is believed.
 */
final readonly class FileStore
{
    /** What a file is called while it is being written. */
    public const UNFINISHED = '.part';

    private const CHUNK = 1 << 16;

    public function __construct(private string $folder)
    {
    }

    /** The store on one of the disks of config/filesystems.php. */
    public static function on(string $disk): self
    {
        return new self(rtrim(Storage::disk($disk)->path(''), '/'));
    }

    /**
     * Saves an uploaded file.
     *
     * @return string its checksum, SHA-256 in hex
     *
     * @throws StorageFailed when it cannot be read, or not all of it could be written; nothing is left behind then
     */
    public function saveUpload(UploadedFile $file): string
    {
        $checksum = (string) hash_file('sha256', $file->getRealPath());
        $content = fopen($file->getRealPath(), 'rb') ?: throw new StorageFailed('The uploaded file cannot be read. Upload it again.');
        try {
            $this->save($content, $checksum);
        } finally {
            fclose($content);
        }

        return $checksum;
    }

    /**
     * Saves what a stream holds.
     *
     * @param  resource  $content  read from where it stands
     * @param  string  $checksum  SHA-256 of the content, in hex
     * @param  string  $suffix  what follows the checksum in the name, such as ".jpg"
     *
     * @throws StorageFailed when not all of it could be written; nothing is left behind then
     */
    public function save($content, string $checksum, string $suffix = ''): void
    {
        $path = $this->path($checksum, $suffix);
        if ($this->isWhole($checksum, $suffix)) {
            return;
        }
        if (! is_dir($this->folder)) {
            @mkdir($this->folder, 0755, true);
        }
        $beside = $path.'.'.bin2hex(random_bytes(6)).self::UNFINISHED;
        try {
            $this->write($content, $beside);
            if (hash_file('sha256', $beside) !== $checksum) {
                throw new StorageFailed('The file changed while it was being saved. Try again.');
            }
            if (! @rename($beside, $path)) {
                throw new StorageFailed('The file could not be saved. Tell your administrator.');
            }
        } finally {
            // Gone already if it was renamed.
            @unlink($beside);
        }
    }

    /** Where a file is, whether or not it exists. */
    public function path(string $checksum, string $suffix = ''): string
    {
        return "{$this->folder}/{$checksum}{$suffix}";
    }

    public function has(string $checksum, string $suffix = ''): bool
    {
        return is_file($this->path($checksum, $suffix));
    }

    /** Whether the file is there and holds exactly what its name says. */
    public function isWhole(string $checksum, string $suffix = ''): bool
    {
        return $this->has($checksum, $suffix) && hash_file('sha256', $this->path($checksum, $suffix)) === $checksum;
    }

    /**
     * Deletes what processes that were killed have left half written.
     *
     * @param  int  $olderThan  seconds; a younger one may still be being written
     * @return int how many were deleted
     */
    public function sweep(int $olderThan): int
    {
        clearstatcache();
        $old = array_filter(
            glob("{$this->folder}/*".self::UNFINISHED) ?: [],
            static fn (string $path): bool => (int) @filemtime($path) < time() - $olderThan,
        );

        return count(array_filter($old, static fn (string $path): bool => @unlink($path)));
    }

    /** @param  resource  $content */
    private function write($content, string $path): void
    {
        $out =
            @fopen($path, 'xb') ?:
            throw new StorageFailed('The file could not be saved. Tell your administrator that the storage folder cannot be written to.');
        try {
            while (! feof($content)) {
                $chunk = fread($content, self::CHUNK);
                if ($chunk === false || @fwrite($out, $chunk) !== strlen($chunk)) {
                    throw new StorageFailed(
                        'The file could not be saved: the disk may be full. Nothing was saved. Tell your administrator, then upload it again.',
                    );
                }
            }
            if (! @fflush($out) || ! @fsync($out)) {
                throw new StorageFailed(
                    'The file could not be saved: the disk may be full. Nothing was saved. Tell your administrator, then upload it again.',
                );
            }
        } finally {
            fclose($out);
        }
    }
}
