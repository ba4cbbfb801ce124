<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

/**
 * A chance in a word, and how good it is: three standard deviations are enough (common practice), under 95 of 100 is
 * too little.
 */
final readonly class Sureness implements \JsonSerializable
{
    private const USABLE = 0.95;

    /** From here on nobody will see one that is not. */
    private const CERTAIN = 0.9999;

    /** @param  'good'|'usable'|'bad'  $kind */
    private function __construct(public string $kind, public string $says)
    {
    }

    /**
     * @param  float  $chance  0 to 1
     * @param  string  $sure  what is said where it is as good as certain
     * @param  string  $else  what is said where it is not; `{n}` is how many of a hundred
     * @param  float  $from  from which chance on the first is said
     */
    public static function of(float $chance, string $sure, string $else, float $from = self::CERTAIN): self
    {
        return new self(
            match (true) {
                $chance >= Remedies::WANTED => 'good',
                $chance >= self::USABLE => 'usable',
                default => 'bad',
            },
            $chance >= $from ? $sure : strtr($else, ['{n}' => self::ofHundred($chance)]),
        );
    }

    /** How many of a hundred, rounded down so that it never promises too much. */
    public static function ofHundred(float $chance): string
    {
        return (string) (floor($chance * 1000 + 1e-9) / 10);
    }

    /** @return array{kind: string, says: string} */
    public function jsonSerialize(): array
    {
        return ['kind' => $this->kind, 'says' => $this->says];
    }
}
