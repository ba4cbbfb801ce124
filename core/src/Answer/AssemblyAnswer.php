<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Evaluate\Assembly\JobAssembly;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Picture\ForcePicture;
use Oldpart\Core\Quantity\Figure;
use Oldpart\Core\Safety\Caution;

/** Putting the job together, as it is shown. */
final readonly class AssemblyAnswer implements \JsonSerializable
{
    public function __construct(public JobAssembly $of)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'together' => new TogetherAnswer($this->of),
            'steps' => array_map(
                fn (Step $s): array => [
                    ...array_diff_key($s->jsonSerialize(), ['how' => 0]),
                    'ticked' => $this->of->facts->isTicked($s->code),
                    'failed' => $this->of->facts->failed($s->code),
                ],
                $this->of->steps,
            ),
            'cautions' => array_map(
                fn (Caution $c): array => [
                    'code' => $c->code,
                    'says' => $c->says,
                    'ticked' => $this->of->facts->isTicked($c->code),
                ],
                $this->of->cautions,
            ),
            'curing' => $this->of->bonded ? Table::rows('curing-times') : [],
            'pressing' => $this->of->tight === null ? null : PressingAnswer::of($this->of->facts, $this->of->tight),
            'also_pressing' => array_values(array_filter(array_map(
                fn (SizedJoint $j): ?PressingAnswer => PressingAnswer::of($this->of->facts, $j),
                $this->of->alsoTight,
            ))),
            'rehearsal' => $this->of->rehearsal === null ? null : new RehearsalAnswer($this->of->rehearsal, $this->of->facts),
            'force' => $this->of->press === null
                    ? null
                    : [
                        'least' => Figure::forceAtLeast($this->of->press->pressForceLeastN),
                        'most' => Figure::forceUpTo($this->of->press->pressForceN),
                        'press' => Figure::forceAtLeast($this->of->facts->shop->pressN),
                        'enough' => $this->of->press->pressForceN <= $this->of->facts->shop->pressN,
                    ],
            'picture' => $this->of->press === null ? null : ForcePicture::draw($this->of->press, $this->of->facts->shop->pressN),
        ];
    }
}
