<?php

declare(strict_types=1);

namespace Oldpart\Core\Shaft;

use Oldpart\Core\Advice\BadInput;

/** How far a chain of holders runs out together, mm: likely, as directions come, and at worst, all one way. */
final readonly class RunOutBudget
{
    public float $likelyMm;

    public float $worstMm;

    public string $mostFrom;

    /**
     * @param  list<array{name: string, out: float}>  $links  each 0 or more
     *
     * @throws BadInput for no links, or one below zero
     */
    public function __construct(array $links)
    {
        if ($links === []) {
            throw new BadInput('links', 'links', 'Name at least one link, and what it runs out by.');
        }
        [$squares, $sum, $most] = [0.0, 0.0, $links[0]];
        foreach ($links as $i => $link) {
            if (! ($link['out'] >= 0)) {
                throw new BadInput('out', "links.{$i}.out_mm", 'What a link runs out by is zero or more.');
            }
            $squares += $link['out'] ** 2;
            $sum += $link['out'];
            $most = $link['out'] > $most['out'] ? $link : $most;
        }
        $this->likelyMm = sqrt($squares);
        $this->worstMm = $sum;
        $this->mostFrom = $most['name'];
    }
}
