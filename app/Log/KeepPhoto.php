<?php

declare(strict_types=1);

namespace App\Log;

use App\Operations\Busy;
use App\Operations\FileStore;
use App\Operations\NamedLock;
use App\People\User;
use GdImage;
use Illuminate\Http\UploadedFile;

/**
 * Saves a photo: only the picture, redrawn, so where it was taken and with what is gone, and a file that only pretends to be a picture is
 * not accepted.
 */
final class KeepPhoto
{
    public const MOST_MIB = 12;

    /** Pixels of the largest picture that is decoded; each takes four bytes of memory. The log's own pictures have 2 million. */
    private const MOST_PIXELS = 16_000_000;

    /** Seconds to wait for another picture that is being decoded. */
    private const WAIT_S = 5;

    /** Longest side of a saved picture, px. */
    private const SIDE = 1600;

    private const QUALITY = 82;

    private const TYPES = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    /** @throws EntryRefused if it is not a picture that can be read */
    public function execute(UploadedFile $file, User $user): LogPhoto
    {
        $path = $file->getRealPath();
        [$width, $height, $type] = @getimagesize($path) ?: [0, 0, null];
        if (! in_array($type, self::TYPES, true)) {
            throw new EntryRefused('photo', 'This photo cannot be read. Upload a JPEG, PNG, or WebP file.');
        }
        if ($width * $height > self::MOST_PIXELS) {
            throw new EntryRefused(
                'photo',
                "The photo has {$width} × {$height} pixels, which is too many. Make it smaller, such as 4000 × 3000.",
            );
        }
        // Decoding takes most of a processor and a lot of memory, so it handles one picture at a time.
        $lock =
            NamedLock::take('photograph', self::WAIT_S) ??
            throw new Busy(message: 'Other photos are being saved. Nothing was lost. Try again in a few seconds.');
        try {
            $image = $this->upright($this->scaled($this->decoded($path, $type)), $path, $type);
        } finally {
            $lock->release();
        }
        ob_start();
        imagejpeg($image, null, self::QUALITY);
        $jpeg = (string) ob_get_clean();
        $checksum = hash('sha256', $jpeg);
        $content = fopen('php://memory', 'w+b') ?: throw new EntryRefused('photo', 'There is no room for the photo. Try again.');
        fwrite($content, $jpeg);
        rewind($content);
        FileStore::on(LogPhoto::DISK)->save($content, $checksum, '.jpg');
        fclose($content);

        return LogPhoto::query()->createOrFirst(
            ['checksum' => $checksum],
            ['width' => imagesx($image), 'height' => imagesy($image), 'bytes' => strlen($jpeg), 'user_id' => $user->id],
        );
    }

    /** The whole picture: a file that breaks off is rejected, although its decoder would fill the rest with gray. */
    private function decoded(string $path, int $type): GdImage
    {
        $warnings = [];
        // Report warnings so we see them; the decoder hides them by default.
        ini_set('gd.jpeg_ignore_warning', '0');
        set_error_handler(static function (int $level, string $message) use (&$warnings): bool {
            $warnings[] = $message;

            return true;
        });
        try {
            $image = match ($type) {
                IMAGETYPE_JPEG => imagecreatefromjpeg($path),
                IMAGETYPE_PNG => imagecreatefrompng($path),
                default => imagecreatefromwebp($path),
            };
        } finally {
            restore_error_handler();
        }
        if (
            $image === false ||
            preg_match('/premature|corrupt jpeg data: bad|unsupported marker|incomplete/i', implode(' ', $warnings)) === 1
        ) {
            throw new EntryRefused('photo', 'The photo did not arrive complete. Upload it again.');
        }

        return $image;
    }

    /** A phone held sideways notes that beside the picture, and the note is about to be lost. */
    private function upright(GdImage $image, string $path, int $type): GdImage
    {
        $turn =
            $type === IMAGETYPE_JPEG && function_exists('exif_read_data') ? (int) ((@exif_read_data($path) ?: [])['Orientation'] ?? 1) : 1;
        $angle = [3 => 180, 6 => 270, 8 => 90][$turn] ?? 0;

        return $angle === 0 ? $image : (imagerotate($image, $angle, 0) ?: $image);
    }

    private function scaled(GdImage $image): GdImage
    {
        $by = min(1.0, self::SIDE / max(imagesx($image), imagesy($image)));
        $small = imagecreatetruecolor(max(1, (int) round(imagesx($image) * $by)), max(1, (int) round(imagesy($image) * $by)));
        // Transparent parts get the color of paper.
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 0xFB, 0xF8, 0xF1));
        imagecopyresampled($small, $image, 0, 0, 0, 0, imagesx($small), imagesy($small), imagesx($image), imagesy($image));

        return $small;
    }
}
