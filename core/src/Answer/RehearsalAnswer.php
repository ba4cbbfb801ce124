<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Evaluate\Assembly\Rehearsal;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Picture\GapPicture;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Safety\Caution;

/** Dropping a part in hot or cold, rehearsed, as it is shown. */
final readonly class RehearsalAnswer implements \JsonSerializable
{
    public function __construct(private Rehearsal $of, private JobFacts $facts)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $seconds = $this->of->drop->secondsUntil();
        $wanted = $this->of->wantedMm();
        $gap = $this->of->gapMm();
        $signed = static fn (float $mm): Say => Say::with($mm >= 0 ? '{d} open' : '{d} tight', [
            'd' => LengthWriter::difference($mm),
        ]);

        return [
            'joint' => $this->of->joint->joint->id,
            'name' => $this->of->joint->joint->name,
            'outer_c' => $this->of->drop->outer->celsius,
            'inner_c' => $this->of->drop->inner->celsius,
            'gap' => $signed($gap),
            'seconds' => $seconds,
            'enough' => $gap >= $wanted - 1e-9,
            'no_return' => $gap > 0 ? $this->of->drop->secondsUntil(min($gap, $wanted) / 2) : 0.0,
            'sources' => Table::rows('heat-sources'),
            'points' => array_map(
                static fn (array $p): array => ['s' => $p[0], 'gap' => $signed($p[1])],
                $this->of->drop->curve(60),
            ),
            'picture' => GapPicture::draw($this->of->drop, $wanted),
            'started_at' => $this->facts->tickedAt('go:'.$this->of->joint->joint->id),
            'notes' => $this->of->notes(),
            'cautions' => array_map(
                fn (Caution $c): array => [
                    'code' => $c->code,
                    'says' => $c->says,
                    'ticked' => $this->facts->isTicked($c->code),
                ],
                $this->of->cautions(),
            ),
        ];
    }
}
