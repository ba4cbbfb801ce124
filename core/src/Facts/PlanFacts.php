<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** What a person changed of the order of work: which step after which, what is left out, what is done besides. */
final readonly class PlanFacts implements \JsonSerializable
{
    private const MOST = 200;

    /**
     * @param  list<string>  $order  codes of steps, as far as somebody moved them; empty: as it is worked out
     * @param  list<string>  $dropped  codes of steps that are not needed
     * @param  list<OwnStep>  $own  steps of the person's own
     * @param  array<string, string>  $remarks  what a person has to say at a step, by its code
     */
    private function __construct(public array $order, public array $dropped, public array $own, public array $remarks)
    {
    }

    public static function read(?Fields $f): self
    {
        if ($f === null) {
            return new self([], [], [], []);
        }
        $plan = new self(
            $f->texts('order'),
            $f->texts('dropped'),
            array_map(OwnStep::read(...), $f->objects('own')),
            array_filter($f->textMap('remarks'), static fn (string $text): bool => trim($text) !== ''),
        );
        foreach (['order', 'dropped', 'own', 'remarks'] as $field) {
            $list = $plan->{$field};
            if (count($list) > self::MOST) {
                throw $f->bad($field, 'has more than '.self::MOST.' steps.');
            }
        }

        return $plan;
    }

    public function isEmpty(): bool
    {
        return $this->order === [] && $this->dropped === [] && $this->own === [] && $this->remarks === [];
    }

    /** @return array{order: list<string>, dropped: list<string>, own: list<OwnStep>, remarks: object} */
    public function jsonSerialize(): array
    {
        return [
            'order' => $this->order,
            'dropped' => $this->dropped,
            'own' => $this->own,
            'remarks' => (object) $this->remarks,
        ];
    }
}
