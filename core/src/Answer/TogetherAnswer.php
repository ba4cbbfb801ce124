<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Assembly\AssemblyItem;
use Oldpart\Core\Evaluate\Assembly\FirstRun;
use Oldpart\Core\Evaluate\Assembly\JobAssembly;
use Oldpart\Core\Facts\CheckFacts;
use Oldpart\Core\Facts\ConditionKind;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\LoopFacts;
use Oldpart\Core\Facts\PartCondition;
use Oldpart\Core\Picture\RunInPicture;

/** The order of assembly, the checks after it and the first run, as they are shown. */
final readonly class TogetherAnswer implements \JsonSerializable
{
    public function __construct(private JobAssembly $of)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $facts = $this->of->facts;

        return [
            'ordered' => $this->of->isOrdered(),
            'items' => array_map(static fn (AssemblyItem $i): array => [
                'code' => $i->code,
                'name' => $i->name,
                'how' => $i->how,
                'notes' => $i->notes,
                'ticked' => $facts->isTicked($i->code),
                'failed' => $facts->failed($i->code),
            ], $this->of->order->items),
            'came_off' => $this->of->cameOff,
            'setbacks' => $facts->assembly->setbacks,
            'notes' => $this->of->order->notes,
            'conditions' => array_map(self::condition(...), $facts->assembly->conditions),
            'checks' => array_map(static fn (CheckFacts $c): array => [
                'id' => $c->id,
                'verdict' => $c->verdict(),
            ], $facts->assembly->checks),
            'offers' => self::offers($facts),
            'run' => self::run(FirstRun::of($facts)),
        ];
    }

    /** @return array{id: string, says: string} */
    private static function condition(PartCondition $one): array
    {
        return ['id' => $one->id, 'says' => match ($one->kind) {
            ConditionKind::Before => 'goes in before',
            ConditionKind::Blocks => 'once in, blocks the way of',
            ConditionKind::Loose => 'has its screws loose until there is',
            ConditionKind::Covers => 'covers the screws of',
            ConditionKind::Reached => 'has to be reached (hand, spanner, crane) before there is',
        }];
    }

    /** @return list<array{name: string, unit: string, least: string, most: string}> checks that the job itself asks for */
    private static function offers(JobFacts $facts): array
    {
        $offers = array_map(static fn (LoopFacts $l): array => [
            'name' => $l->name,
            'unit' => $facts->unit->value,
            'least' => $l->least === null ? '' : $l->least->typed,
            'most' => $l->most === null ? '' : $l->most->typed,
        ], $facts->loops);
        foreach (['Turns by hand, all round' => '', 'Run-out by the indicator' => $facts->unit->value, 'Torque to turn it' => 'N·m', 'Drips a minute' => 'drips/min', 'Flow' => 'l/min', 'Restraints of transport taken out' => '', 'Guards back on' => ''] as $name => $unit) {
            $offers[] = ['name' => $name, 'unit' => $unit, 'least' => '', 'most' => ''];
        }
        $known = array_map(static fn (CheckFacts $c): string => $c->name, $facts->assembly->checks);

        return array_values(array_filter($offers, static fn (array $o): bool => ! in_array($o['name'], $known, true)));
    }

    /** @return ?array{says: Say, good: bool, picture: mixed} */
    private static function run(?FirstRun $run): ?array
    {
        return $run === null ? null : [
            'says' => Say::plain($run->says()),
            'good' => $run->isGood(),
            'picture' => RunInPicture::draw($run->points, $run->limitC),
        ];
    }
}
