<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Advice\Say;

/** How well one thing was done, of 100, and by what; null where it was not asked for. */
final readonly class Score implements \JsonSerializable
{
    private function __construct(public Skill $skill, public ?int $points, public Say $why)
    {
    }

    public static function of(Skill $skill, float $points, Say|string $why): self
    {
        return new self(
            $skill,
            (int) round(max(0.0, min(100.0, $points))),
            is_string($why) ? Say::plain($why) : $why,
        );
    }

    public static function none(Skill $skill, string $why): self
    {
        return new self($skill, null, Say::plain($why));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'skill' => $this->skill->value,
            'label' => $this->skill->label(),
            'points' => $this->points,
            'why' => $this->why,
        ];
    }
}
