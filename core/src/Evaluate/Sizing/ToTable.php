<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Fit\Batch;
use Oldpart\Core\Fit\NamedFit;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;

/**
 * A joint made to the table: the fit by its name, and how the pairs come out.
 */
final readonly class ToTable implements \JsonSerializable
{
    /** @param  ?Range  $wish  limits typed for the pairs, mm */
    public function __construct(
        public NamedFit $fit,
        private ?Range $wish,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $batch = new Batch(
            new Band($this->fit->sizeMm + $this->fit->hole->lowerMm, $this->fit->sizeMm + $this->fit->hole->upperMm),
            new Band($this->fit->sizeMm + $this->fit->shaft->lowerMm, $this->fit->sizeMm + $this->fit->shaft->upperMm),
        );

        return [
            'fit' => $this->fit->label,
            'extremes' => Words::range($batch->extremes()),
            'likely' => Words::range($batch->likely()),
            'pairs' => $this->wish === null ? null : $this->pairs($batch, $this->wish),
        ];
    }

    private function pairs(Batch $batch, Range $wish): Say
    {
        $chance = floor($batch->chance($wish) * 1000 + 1e-6) / 10;
        $classes = $batch->classesFor($wish);
        $sort = match ($classes) {
            null => 'No sorting into classes makes every pair fit.',
            1 => 'Every pair fits as it comes.',
            default => "Sorted into {$classes} classes, like to like, every pair fits.",
        };

        return Say::with('{r} is wanted: of a hundred pairs as they come {chance} fit. '.$sort, [
            'r' => Words::range($wish),
            'chance' => rtrim(rtrim(number_format($chance, 1), '0'), '.'),
        ]);
    }
}
