<?php

declare(strict_types=1);

namespace App\Photos;

/** A picture that was opened and written beside its place. */
final readonly class PreparedPhoto
{
    /** @param  array<string, string>  $files  where each was written, and where it belongs */
    public function __construct(public int $width, public int $height, private array $files)
    {
    }

    public function put(): void
    {
        foreach ($this->files as $beside => $place) {
            if (! rename($beside, $place)) {
                throw new \RuntimeException('The photograph could not be put in its place.');
            }
        }
    }

    public function drop(): void
    {
        foreach (array_keys($this->files) as $beside) {
            @unlink($beside);
        }
    }
}
