<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\OwnInstrument;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Measure\Instrument;

/**
 * Instruments that a job file's readings and cuts were taken with. One that is not the same here comes along under a
 * name of its own, so that what was read with it stays as sure as it was.
 */
final class ForeignInstruments
{
    /** The caller holds the transaction. */
    public static function takenIn(JobFacts $facts): JobFacts
    {
        $here = OwnInstrument::set();
        $array = JobFile::toArray($facts);
        $as = [];
        foreach (['readings', 'cuts'] as $list) {
            foreach ($array[$list] as &$row) {
                $code = $row['instrument'];
                if (! isset($as[$code])) {
                    $tool = $facts->shop->instruments->named($code);
                    $same = $here->has($code) && $here->named($code) == $tool;
                    $as[$code] = $same ? $code : self::bring($tool, $facts->shop->name);
                }
                $row['instrument'] = $as[$code];
            }
        }
        $array['shop']['instruments'] = array_map(
            static fn (Instrument $i): array => $i->jsonSerialize(),
            OwnInstrument::set()->own(),
        );

        return JobRecords::toFacts($array);
    }

    private static function bring(Instrument $tool, string $shop): string
    {
        $here = OwnInstrument::set();
        $figures = $tool->jsonSerialize();
        // The same one may have come with another file of that shop.
        foreach ($here->all() as $known) {
            if (
                str_starts_with($known->code, "{$tool->code}~")
                && [...$known->jsonSerialize(), 'code' => '', 'name' => '', 'in_shop' => true] == [
                    ...$figures,
                    'code' => '',
                    'name' => '',
                    'in_shop' => true,
                ]
            ) {
                return $known->code;
            }
        }
        $n = 2;
        while ($here->has("{$tool->code}~{$n}")) {
            $n++;
        }
        $brought = Instrument::read(
            new \Oldpart\Core\Quantity\Fields([
                ...$figures,
                'code' => mb_substr($tool->code, 0, 36)."~{$n}",
                'name' => mb_substr("{$tool->name}, of ".($shop === '' ? 'another shop' : $shop), 0, 80),
                'in_shop' => false,
            ]),
        );
        OwnInstrument::store($brought);

        return $brought->code;
    }
}
