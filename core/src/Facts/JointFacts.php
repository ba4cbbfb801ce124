<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Fit\School;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\TypedLength;

/** Which surface meets which, for what purpose, and the fit that was chosen. Limits are clearances typed by hand. */
final readonly class JointFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public string $name,
        public string $inner,
        public string $outer,
        public ?string $along,
        public string $purpose,
        public ?School $school,
        public ?TypedLength $least,
        public ?TypedLength $most,
        public string $reason,
        public ?float $needsTorqueNm,
        public ?bool $finishInPlace,
        /** @var array<string, string> answers to the plain questions, by their code */
        public array $asked = [],
        public ?BearingFacts $bearing = null,
        public ?float $loadN = null,
        public ?float $speedRpm = null,
        /** How warm each part goes together, °C. */
        public ?float $outerC = null,
        public ?float $innerC = null,
        /** @var list<FasteningFacts> what drives or keeps it beside its fit */
        public array $held = [],
        /** A class by its label, where a school offers more than one. */
        public ?string $fit = null,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            $f->text('id'),
            $f->text('name'),
            $f->text('inner'),
            $f->text('outer'),
            $f->textOrNull('along'),
            $f->text('purpose'),
            $f->textOrNull('school') === null ? null : $f->choice('school', School::class),
            $f->lengthOrNull('least', true),
            $f->lengthOrNull('most', true),
            $f->textOrNull('reason') ?? '',
            $f->numberOrNull('needs_torque_nm'),
            $f->flagOrNull('finish_in_place'),
            $f->textMap('asked'),
            $f->has('bearing')
                ? BearingFacts::read($f->object('bearing') ?? throw $f->bad('bearing', 'must be an object.'))
                : null,
            $f->numberOrNull('load_n'),
            $f->numberOrNull('speed_rpm'),
            $f->numberOrNull('outer_c'),
            $f->numberOrNull('inner_c'),
            array_map(FasteningFacts::read(...), $f->objects('held')),
            $f->textOrNull('fit'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'inner' => $this->inner,
            'outer' => $this->outer,
            'along' => $this->along,
            'purpose' => $this->purpose,
            'school' => $this->school?->value,
            'least' => $this->least,
            'most' => $this->most,
            'reason' => $this->reason,
            'needs_torque_nm' => $this->needsTorqueNm,
            'finish_in_place' => $this->finishInPlace,
            'asked' => $this->asked === [] ? null : $this->asked,
            'bearing' => $this->bearing,
            'load_n' => $this->loadN,
            'speed_rpm' => $this->speedRpm,
            'outer_c' => $this->outerC,
            'inner_c' => $this->innerC,
            'held' => $this->held,
            'fit' => $this->fit,
        ];
    }
}
