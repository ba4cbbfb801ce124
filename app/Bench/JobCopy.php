<?php

declare(strict_types=1);

namespace App\Bench;

use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\OperationFacts;
use Oldpart\Core\Facts\ReckoningFacts;
use Oldpart\Core\Facts\ShopFacts;

/** The same job under fresh ids, whole or as a start for the next. */
final class JobCopy
{
    /** Fields that name another thing of the job. */
    private const REFERENCES = ['id', 'part', 'surface', 'inner', 'outer', 'along', 'joint', 'loop', 'cut', 'centred_on'];

    /** @param  callable(): string  $newId */
    public static function under(JobFacts $facts, callable $newId, ?string $id = null): JobFacts
    {
        $array = JobFile::toArray($facts);
        $fresh = [];
        foreach (FactList::cases() as $list) {
            foreach ($array[$list->value] as $row) {
                $fresh[$row['id']] = $newId();
            }
        }
        $array['id'] = $id ?? $newId();
        // A code names what it is of between its colons: hole:SURFACE:3, PART:threads.
        $renamed = static fn (string $code): string => implode(':', array_map(
            static fn (string $word): string => $fresh[$word] ?? $word,
            explode(':', $code),
        ));
        if (is_array($array['plan'] ?? null)) {
            foreach (['order', 'dropped'] as $which) {
                $array['plan'][$which] = array_map($renamed, $array['plan'][$which]);
            }
        }
        $remarks = (array) ($array['plan']['remarks'] ?? []);
        if ($remarks !== []) {
            $array['plan']['remarks'] = array_combine(array_map($renamed, array_keys($remarks)), array_values($remarks));
        }
        foreach (['strip' => ['part', 'photo'], 'conditions' => ['part', 'other']] as $list => $fields) {
            foreach (array_keys($array['assembly'][$list] ?? []) as $i) {
                foreach ($fields as $field) {
                    $of = $array['assembly'][$list][$i][$field] ?? null;
                    $array['assembly'][$list][$i][$field] = $of === null ? null : $fresh[$of] ?? $of;
                }
            }
        }
        if (is_array($array['assembly'] ?? null)) {
            $array['assembly']['order'] = array_map($renamed, $array['assembly']['order']);
        }
        foreach (array_keys($array['batch']['mates'] ?? []) as $i) {
            $joint = $array['batch']['mates'][$i]['joint'];
            $array['batch']['mates'][$i]['joint'] = $fresh[$joint] ?? $joint;
        }
        foreach (FactList::cases() as $list) {
            foreach ($array[$list->value] as &$row) {
                foreach (self::REFERENCES as $field) {
                    if (isset($row[$field], $fresh[$row[$field]])) {
                        $row[$field] = $fresh[$row[$field]];
                    }
                }
                if ($list === FactList::Ticks) {
                    $row['code'] = $renamed($row['code']);
                }
                if ($list === FactList::Mistakes) {
                    $row['readings'] = array_map(
                        static fn (string $reading): string => $fresh[$reading] ?? $reading,
                        $row['readings'],
                    );
                }
                if ($list === FactList::Reckonings) {
                    $given = (array) $row['given'];
                    if (isset($given['photo'])) {
                        $row['given'] = [...$given, 'photo' => $fresh[$given['photo']] ?? $given['photo']];
                    }
                    foreach (['from', 'gives'] as $which) {
                        $row[$which] = array_map(
                            static function (string $s) use ($fresh): string {
                                $of = ReckoningFacts::surfaceOf($s);

                                return ($fresh[$of] ?? $of).substr($s, strlen($of));
                            },
                            (array) $row[$which],
                        );
                    }
                }
                foreach (array_keys($row['lengths'] ?? []) as $i) {
                    $row['lengths'][$i]['surface'] = $fresh[$row['lengths'][$i]['surface'] ?? ''] ?? null;
                }
            }
        }

        return JobRecords::toFacts($array);
    }

    /** What was measured, cut, photographed, ticked or accepted belongs to the old one. */
    public static function start(JobFacts $facts, ShopFacts $shop): JobFacts
    {
        $array = JobFile::toArray($facts);
        foreach (
            [
                FactList::Readings,
                FactList::Cuts,
                FactList::Ticks,
                FactList::Pushes,
                FactList::Mistakes,
                FactList::Concessions,
                FactList::Trials,
                FactList::Photos,
                FactList::Evidence,
            ] as $list
        ) {
            $array[$list->value] = [];
        }
        // The next one is quoted by what this one took.
        $array['operations'] = array_map(
            static fn (OperationFacts $o): array => $o->next($facts->takeIn->quantity)->jsonSerialize(),
            $facts->operations,
        );
        $array['shop'] = $shop->jsonSerialize();
        $array['waits'] = null;
        $array['batch'] = null;
        if (is_array($array['assembly'] ?? null)) {
            $array['assembly'] = [...$array['assembly'], 'strip' => [], 'runs' => [], 'setbacks' => [], 'checks' => array_map(
                static fn (array $check): array => [...$check, 'found' => '', 'note' => ''],
                $array['assembly']['checks'],
            )];
        }
        $array['hand_over'] = ['finished_at' => null, 'next_time' => '', 'service_on' => null];
        $array['take_in'] = [
            ...$array['take_in'],
            'wanted_by' => null,
            'reference' => '',
            'gates_answered' => false,
            'acceptances' => [],
        ];
        $array['quote'] = [...$array['quote'], 'decided' => null, 'reason' => '', 'first_of_its_kind' => false];

        return JobRecords::toFacts($array);
    }
}
