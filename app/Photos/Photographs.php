<?php

declare(strict_types=1);

namespace App\Photos;

use Oldpart\Core\Advice\BadInput;

/**
 * Photographs of a job: turned upright, scaled down and written anew as JPEG, so that nothing of the camera or the
 * place goes with them. Kept in the shop's own folder, never in the open one.
 */
final class Photographs
{
    public const MAX_BYTES = 20_000_000;

    /** Decoding takes about five bytes a pixel: what is larger is refused before it is opened. */
    private const MAX_PIXELS = 25_000_000;

    private const LONGEST = 2000;

    private const SMALL = 320;

    public function __construct(private readonly string $folder)
    {
    }

    /**
     * Opens a picture and writes it beside its place; it is there only once it is put in its place.
     *
     * @throws BadInput for what is not a photograph, or too large
     */
    public function prepare(string $job, string $id, string $bytes): PreparedPhoto
    {
        if ($bytes === '') {
            throw new BadInput('no-photo', 'photo', 'Nothing came: choose a photograph and send it again.');
        }
        if (strlen($bytes) > self::MAX_BYTES) {
            throw new BadInput(
                'too-large',
                'photo',
                'This photograph is over 20 MB. Let the camera make smaller ones.',
            );
        }
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw new BadInput(
                'not-a-photo',
                'photo',
                'This is not a photograph that can be opened here: JPEG, PNG and WebP can.',
            );
        }
        if ($size[0] * $size[1] > self::MAX_PIXELS) {
            throw new BadInput(
                'too-many-pixels',
                'photo',
                "This picture is {$size[0]} by {$size[1]}: more than can be opened safely. Let the camera make smaller ones.",
            );
        }

        return $this->alone(function () use ($job, $id, $bytes, $size): PreparedPhoto {
            $image = @imagecreatefromstring($bytes);
            if ($image === false) {
                throw new BadInput(
                    'not-a-photo',
                    'photo',
                    'This photograph is damaged: it can’t be opened. Take it again.',
                );
            }
            $large = self::scaled(self::upright($image, $bytes, $size[2]), self::LONGEST);

            return new PreparedPhoto(imagesx($large), imagesy($large), [
                $this->written($this->path($job, $id), $large, 85) => $this->path($job, $id),
                $this->written($this->path($job, $id, true), self::scaled($large, self::SMALL), 80) => $this->path(
                    $job,
                    $id,
                    true,
                ),
            ]);
        });
    }

    /**
     * One large picture is open at a time, whoever sends them.
     *
     * @template T
     *
     * @param  \Closure(): T  $work
     * @return T
     */
    private function alone(\Closure $work): mixed
    {
        if (! is_dir($this->folder)) {
            mkdir($this->folder, 0770, true);
        }
        $lock = fopen("{$this->folder}/.one-at-a-time", 'c');
        if ($lock === false || ! flock($lock, LOCK_EX)) {
            throw new \RuntimeException('The folder of the photographs can’t be written.');
        }
        try {
            return $work();
        } finally {
            flock($lock, LOCK_UN);
            fclose($lock);
        }
    }

    /** The stored JPEG's path, or null when it is not here. */
    public function find(string $job, string $id, bool $small): ?string
    {
        $path = $this->path($job, $id, $small);
        // Where the small ones lay once.
        $before = "{$this->folder}/{$job}/{$id}-small.jpg";

        return is_file($path) ? $path : ($small && is_file($before) ? $before : null);
    }

    public function forget(string $job): void
    {
        $folder = "{$this->folder}/{$job}";
        foreach ([...glob("{$folder}/small/*") ?: [], ...glob("{$folder}/*") ?: []] as $file) {
            is_dir($file) ? rmdir($file) : unlink($file);
        }
        @rmdir($folder);
    }

    private function path(string $job, string $id, bool $small = false): string
    {
        return "{$this->folder}/{$job}/".($small ? 'small/' : '')."{$id}.jpg";
    }

    /** @return string where it was written, beside its place, so that nobody ever sees half a picture */
    private function written(string $path, \GdImage $image, int $quality): string
    {
        if (! is_dir(dirname($path))) {
            mkdir(dirname($path), 0770, true);
        }
        $beside = $path.'.'.bin2hex(random_bytes(6));
        if (! imagejpeg($image, $beside, $quality)) {
            throw new \RuntimeException('The photograph could not be written.');
        }

        return $beside;
    }

    private static function scaled(\GdImage $image, int $longest): \GdImage
    {
        $factor = $longest / max(imagesx($image), imagesy($image));
        $width = $factor >= 1 ? imagesx($image) : max(1, (int) round(imagesx($image) * $factor));
        $height = $factor >= 1 ? imagesy($image) : max(1, (int) round(imagesy($image) * $factor));
        $flat = imagecreatetruecolor($width, $height);
        // What is see-through becomes paper.
        imagefill($flat, 0, 0, (int) imagecolorallocate($flat, 255, 255, 255));
        imagecopyresampled($flat, $image, 0, 0, 0, 0, $width, $height, imagesx($image), imagesy($image));

        return $flat;
    }

    private static function upright(\GdImage $image, string $bytes, int $type): \GdImage
    {
        if ($type !== IMAGETYPE_JPEG || ! function_exists('exif_read_data')) {
            return $image;
        }
        $stream = fopen('php://memory', 'r+');
        if ($stream === false) {
            return $image;
        }
        fwrite($stream, $bytes);
        rewind($stream);
        $exif = @exif_read_data($stream);
        $orientation = is_array($exif) ? (int) ($exif['Orientation'] ?? 1) : 1;
        if (in_array($orientation, [2, 4, 5, 7], true)) {
            imageflip($image, $orientation === 4 ? IMG_FLIP_VERTICAL : IMG_FLIP_HORIZONTAL);
        }
        $turn = [3 => 180, 5 => 90, 6 => -90, 7 => -90, 8 => 90][$orientation] ?? 0;
        $turned = $turn === 0 ? $image : imagerotate($image, $turn, 0);

        return $turned === false ? $image : $turned;
    }
}
