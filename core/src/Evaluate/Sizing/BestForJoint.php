<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Advice\Likely;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WayOut;
use Oldpart\Core\Fit\BestSize;
use Oldpart\Core\Fit\Offer;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\LengthWriter;

/** Where no size can be promised: the one most likely to work, with its chance, and what would raise that most. */
final readonly class BestForJoint implements \JsonSerializable
{
    /** @param  list<WayOut>  $helps  the cheapest first */
    private function __construct(
        public BestSize $best,
        public Say $says,
        /** What works, who checks it, and what narrows it. */
        public Say $because,
        public array $helps,
        public SizingCase $case,
        public string $asked,
        /** @var list<Offer> fits of the same purpose that can be promised */
        public array $promised,
    ) {
    }

    /**
     * Null where even the best is as likely to fail as not.
     *
     * @param  string  $asked  the fit that can't be promised, by its name
     * @param  list<Offer>  $promised  fits of the same purpose that can be
     * @param  ?Say  $strength  by what strength or load narrows what works
     */
    public static function of(SizingCase $case, string $asked, array $promised = [], ?Say $strength = null): ?self
    {
        $best = $case->best();
        if ($best === null) {
            return null;
        }
        $tool = $case->checkedWith();
        $says = Say::with(
            "{$asked} cannot be promised with this reading; {a} works in ".Likely::ofHundred($best->chance).' of 100.',
            ['a' => LengthWriter::size($best->aimMm)],
        );
        $because = Say::with(
            'Such a joint works from {w}'
                .($tool === null ? '.' : ', checked with the '.lcfirst($tool->name).'.')
                .($strength === null ? '' : ' {s}'),
            ['w' => Words::range($case->works), 's' => $strength ?? ''],
        );

        return new self(
            best: $best,
            says: $says,
            because: $because,
            helps: Helps::of($case, $best, $promised),
            case: $case,
            asked: $asked,
            promised: $promised,
        );
    }

    /** @return list<WayOut> what stands on the card: the cheapest, and the one that helps most where that is another */
    public function firstHelps(): array
    {
        $helps = $this->helps;
        $of = static fn (WayOut $w): float => floor(100 * ($w->chance ?? 1.0));
        usort($helps, static fn (WayOut $a, WayOut $b): int => $of($b) <=> $of($a));

        return $this->helps === [] || $helps[0] === $this->helps[0]
            ? array_slice($this->helps, 0, 1)
            : [$this->helps[0], $helps[0]];
    }

    /** @return array{kind: string, says: Say, because: Say, chance: float, word: string, helps: list<WayOut>} */
    public function jsonSerialize(): array
    {
        return [
            'kind' => Likely::kind($this->best->chance),
            'says' => $this->says,
            'because' => $this->because,
            'chance' => $this->best->chance,
            'word' => Likely::inWords($this->best->chance),
            'helps' => $this->helps,
        ];
    }
}
