<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;

/**
 * A folder of files named by the SHA-256 of their content, such as station files as they were uploaded.
 *
 * A file gets its name only once all of it is on the disk: it is written beside the target, synced, compared with its checksum, and then
 * renamed. So a full disk or a killed process leaves no partial file under a name that others trust. If the name already exists, its
 * content is checked first.
 */
final readonly class FileStore
{
    /** Suffix of a file while it is being written. */
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
     * @throws StorageFailed if it cannot be read, or not all of it could be written; nothing is left behind
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
     * Saves the content of a stream.
     *
     * @param  resource  $content  read from its current position
     * @param  string  $checksum  SHA-256 of the content, in hex
     * @param  string  $suffix  what follows the checksum in the name, such as ".jpg"
     *
     * @throws StorageFailed if not all of it could be written; nothing is left behind
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
            // It is gone already if it was renamed.
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

    /** Whether the file exists and contains exactly what its name says. */
    public function isWhole(string $checksum, string $suffix = ''): bool
    {
        return $this->has($checksum, $suffix) && hash_file('sha256', $this->path($checksum, $suffix)) === $checksum;
    }

    /**
     * Deletes partial files left behind by processes that were killed.
     *
     * @param  int  $olderThan  seconds; a more recent one may still be in progress
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
