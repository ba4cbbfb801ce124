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
        /** Where both sides are cut: the one that is made first, and measured for the other. */
        public ?Side $first = null,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->text('id'),
            name: $f->text('name'),
            inner: $f->text('inner'),
            outer: $f->text('outer'),
            along: $f->textOrNull('along'),
            purpose: $f->text('purpose'),
            school: $f->textOrNull('school') === null ? null : $f->choice('school', School::class),
            least: $f->lengthOrNull('least', true),
            most: $f->lengthOrNull('most', true),
            reason: $f->textOrNull('reason') ?? '',
            needsTorqueNm: $f->numberOrNull('needs_torque_nm'),
            finishInPlace: $f->flagOrNull('finish_in_place'),
            asked: $f->textMap('asked'),
            bearing: $f->has('bearing')
                ? BearingFacts::read($f->object('bearing') ?? throw $f->bad('bearing', 'must be an object.'))
                : null,
            loadN: $f->numberOrNull('load_n'),
            speedRpm: $f->numberOrNull('speed_rpm'),
            outerC: $f->numberOrNull('outer_c'),
            innerC: $f->numberOrNull('inner_c'),
            held: array_map(FasteningFacts::read(...), $f->objects('held')),
            fit: $f->textOrNull('fit'),
            first: $f->choiceOrNull('first', Side::class),
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
            'first' => $this->first?->value,
        ];
    }
}
