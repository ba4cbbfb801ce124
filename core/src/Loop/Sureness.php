<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Advice\Likely;

/** How likely a loop or a clearance is to come out as wanted, in words. */
final readonly class Sureness implements \JsonSerializable
{
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
            Likely::kind($chance),
            $chance >= $from
                ? $sure
                : Likely::word($chance).', '.strtr($else, ['{n}' => self::ofHundred($chance)]),
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
