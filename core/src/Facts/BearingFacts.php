<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Bearing;
use Oldpart\Core\Catalogue\Bearings;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Fit\BearingDuty;
use Oldpart\Core\Quantity\Fields;

/** The rolling bearing of a seat: by its stamp, or by its sizes in mm, and what it has to do. */
final readonly class BearingFacts implements \JsonSerializable
{
    /**
     * @param  'inner'|'outer'  $turning
     * @param  'light'|'normal'|'heavy'  $load
     * @param  'solid'|'split'|'thin'  $housing
     */
    public function __construct(
        public ?string $designation,
        public ?float $boreMm,
        public ?float $outsideMm,
        public ?float $widthMm,
        public string $turning = 'inner',
        public string $load = 'normal',
        public string $housing = 'solid',
        public float $innerWarmerK = 0.0,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            designation: $f->textOrNull('designation'),
            boreMm: $f->numberOrNull('bore_mm'),
            outsideMm: $f->numberOrNull('outside_mm'),
            widthMm: $f->numberOrNull('width_mm'),
            turning: $f->text('turning') === 'outer' ? 'outer' : 'inner',
            load: match ($f->text('load')) {
                'light' => 'light',
                'heavy' => 'heavy',
                default => 'normal',
            },
            housing: match ($f->text('housing')) {
                'split' => 'split',
                'thin' => 'thin',
                default => 'solid',
            },
            innerWarmerK: $f->number('inner_warmer_k'),
        );
    }

    /** @throws BadInput when neither a known stamp nor three sizes that make sense are given */
    public function bearing(): Bearing
    {
        if ($this->designation !== null && trim($this->designation) !== '') {
            return Bearings::named($this->designation);
        }
        if (
            $this->boreMm === null
            || $this->outsideMm === null
            || $this->widthMm === null
            || $this->outsideMm <= $this->boreMm
        ) {
            throw new BadInput(
                'bearing',
                'designation',
                'Say what is stamped on the bearing, or its bore, outside and width.',
            );
        }

        return new Bearing('as measured', 'as measured', $this->boreMm, $this->outsideMm, $this->widthMm);
    }

    public function duty(?Material $shaft, ?Material $housing): BearingDuty
    {
        return new BearingDuty(
            turning: $this->turning,
            load: $this->load,
            housing: $this->housing,
            shaft: $shaft,
            housingMaterial: $housing,
            shaftBoreMm: 0.0,
            innerWarmerK: $this->innerWarmerK,
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'designation' => $this->designation,
            'bore_mm' => $this->boreMm,
            'outside_mm' => $this->outsideMm,
            'width_mm' => $this->widthMm,
            'turning' => $this->turning,
            'load' => $this->load,
            'housing' => $this->housing,
            'inner_warmer_k' => $this->innerWarmerK,
        ];
    }
}
