<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\Working;
use Oldpart\Core\Evaluate\Loops\SolvedLoop;
use Oldpart\Core\Evaluate\Trials\LoopTrials;
use Oldpart\Core\Loop\Remedy;
use Oldpart\Core\Loop\Sureness;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\LoopPicture;
use Oldpart\Core\Picture\ShimPicture;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Remedy\RemedyChange;

/** A loop of the job as it is shown. */
final readonly class LoopAnswer implements \JsonSerializable
{
    /** Of what would close it, as many as are shown. */
    private const REMEDIES = 4;

    public function __construct(public SolvedLoop $of, private ?LoopTrials $trials = null)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $of = $this->of;
        $shown = $of->withheld ? null : $of->loop;
        $chance = $of->chance();

        return [
            'id' => $of->facts->id,
            'blocked' => $of->blocked,
            'rows' => LoopRowAnswer::all($of->rows, array_column($of->loop?->shares() ?? [], 'share'), $of->withheld),
            'closes_at' => $shown === null ? null : LengthWriter::signed($shown->nominalMm()),
            'worst' => $shown === null ? null : SolvedLoop::between($shown->worst()),
            'likely' => $shown === null ? null : SolvedLoop::between($shown->likely()),
            'chance' => $chance,
            'sure' => $chance === null ? null : Sureness::of($chance, 'as wanted', '{n} of 100 as wanted'),
            'in_use' => $of->inUse(),
            'solved' => $of->solved(),
            'shared' => $of->alsoServes(),
            'length' => $of->length(),
            'remedies' => array_map($this->remedy(...), array_slice($of->remedies(), 0, self::REMEDIES)),
            'shims' => $of->shimmed(),
            'pile' => $this->pile(),
            'picture' => self::picture($of),
            'notes' => $shown === null || $of->blocked !== null ? [] : $shown->notes(),
            'trials' => $this->trials,
            'working' => $this->working(),
        ];
    }

    /** The loop to scale, its open length as it is to be made; null while that can't be drawn, or is withheld. */
    public static function picture(SolvedLoop $of): ?Drawing
    {
        $drawn = $of->drawn();

        return $drawn === null ? null : LoopPicture::draw($drawn, $of->beside());
    }

    /** @return array<string, mixed> */
    private function remedy(Remedy $remedy): array
    {
        return [
            'do' => $remedy->do,
            'chance' => $remedy->chance,
            'sure' => Sureness::of($remedy->chance, '100 of 100 as wanted', '{n} of 100 as wanted'),
            'enough' => $remedy->enough,
            'changes' => RemedyChange::of($this->of->lengths->facts, $this->of->facts, $remedy),
        ];
    }

    private function pile(): ?Drawing
    {
        $pile = $this->of->pile();

        return $pile === null || $pile === [] || $this->of->loop === null
            ? null
            : ShimPicture::draw($pile, max(0.0, $this->of->loop->nominalMm() - array_sum($pile)));
    }

    /** @return Working|array{} */
    private function working(): Working|array
    {
        $of = $this->of;

        return match (true) {
            $of->blocked !== null => [],
            ! $of->withheld && $of->loop !== null => $of->loop->working(),
            $of->best() !== null => $of->best()->working,
            $of->rest !== null && $of->open !== null => $of->rest->solveWorking(
                $of->open->direction(),
                $of->open->name,
                $of->open->weight(),
            ),
            default => [],
        };
    }
}
