<?php

declare(strict_types=1);

namespace App\Log;

use App\People\User;
use GdImage;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;

/**
 * Keeps a photograph: the picture alone, drawn anew, so that where it was taken and with what is gone, and a file that only calls
 * itself a picture is none.
 */
final class KeepPhoto
{
    public const MOST_MIB = 12;

    private const MOST_POINTS = 25_000_000;

    /** Longest side that is kept, px. */
    private const SIDE = 1600;

    private const QUALITY = 82;

    private const TYPES = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    /** @throws EntryRefused when it is no picture that can be read */
    public function execute(UploadedFile $file, User $user): LogPhoto
    {
        $path = $file->getRealPath();
        [$width, $height, $type] = @getimagesize($path) ?: [0, 0, null];
        if (! in_array($type, self::TYPES, true)) {
            throw new EntryRefused('photo', 'This is no photograph that can be read. Bring a JPEG, PNG or WebP file.');
        }
        if ($width * $height > self::MOST_POINTS) {
            throw new EntryRefused('photo', "The picture has {$width} × {$height} points, more than can be kept. Take it smaller: 4000 × 3000 are plenty.");
        }
        $image = @imagecreatefromstring((string) file_get_contents($path));
        if ($image === false) {
            throw new EntryRefused('photo', 'The photograph did not arrive whole. Bring it again.');
        }
        $image = $this->scaled($this->upright($image, $path, $type));
        ob_start();
        imagejpeg($image, null, self::QUALITY);
        $jpeg = (string) ob_get_clean();
        $checksum = hash('sha256', $jpeg);
        if (! Storage::disk(LogPhoto::DISK)->exists("{$checksum}.jpg")) {
            Storage::disk(LogPhoto::DISK)->put("{$checksum}.jpg", $jpeg);
        }

        return LogPhoto::query()->createOrFirst(['checksum' => $checksum], ['width' => imagesx($image), 'height' => imagesy($image), 'bytes' => strlen($jpeg), 'user_id' => $user->id]);
    }

    /** A phone held sideways notes so beside the picture, which is about to be lost. */
    private function upright(GdImage $image, string $path, int $type): GdImage
    {
        $turn = $type === IMAGETYPE_JPEG && function_exists('exif_read_data') ? (int) ((@exif_read_data($path) ?: [])['Orientation'] ?? 1) : 1;
        $angle = [3 => 180, 6 => 270, 8 => 90][$turn] ?? 0;

        return $angle === 0 ? $image : (imagerotate($image, $angle, 0) ?: $image);
    }

    private function scaled(GdImage $image): GdImage
    {
        $by = min(1.0, self::SIDE / max(imagesx($image), imagesy($image)));
        $small = imagecreatetruecolor(max(1, (int) round(imagesx($image) * $by)), max(1, (int) round(imagesy($image) * $by)));
        // What shines through becomes paper.
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 0xFB, 0xF8, 0xF1));
        imagecopyresampled($small, $image, 0, 0, 0, 0, imagesx($small), imagesy($small), imagesx($image), imagesy($image));

        return $small;
    }
}
