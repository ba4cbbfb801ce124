<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

/** Brings a job file of an earlier version to the present one; what it did not know yet is left open. */
final class OlderJobFile
{
    public static function upgraded(\stdClass $job): \stdClass
    {
        if (($job->version ?? null) === 1) {
            $job = self::fromFirst(clone $job);
        }

        return ($job->version ?? null) === 2 ? self::fromSecond(clone $job) : $job;
    }

    private static function fromFirst(\stdClass $job): \stdClass
    {
        $job->version = 2;
        $acceptedBy = $job->take_in->accepted_by ?? null;
        $job->take_in = (object) [
            'cause' => null,
            'speed_rpm' => null,
            'loads' => '',
            'runs_at_c' => null,
            'surroundings' => '',
            'reference' => '',
            'acceptances' => is_string($acceptedBy) && trim($acceptedBy) !== ''
                    ? [
                        (object) [
                            'by' => $acceptedBy,
                            'capacity' => '',
                            'at' => null,
                            'gates' => $job->take_in->gates ?? [],
                        ],
                    ]
                    : [],
            ...array_diff_key((array) ($job->take_in ?? []), ['accepted_by' => 0]),
        ];
        $job->shop = (object) ['rate_per_h' => 40.0, 'currency' => '€', ...(array) ($job->shop ?? [])];
        $job->parts = self::each($job->parts ?? [], ['form' => 'turned', 'hardness' => null, 'tests' => (object) []]);
        $job->surfaces = array_map(
            self::surface(...),
            self::each($job->surfaces ?? [], [
                'criticality' => 'fit',
                'condition' => null,
                'datum' => false,
                'size' => null,
                'size2' => null,
                'at' => null,
                'long' => null,
                'x' => null,
                'y' => null,
                'pitch' => null,
                'count' => null,
                'hand' => null,
                'angle_deg' => null,
                'source' => null,
                'sketch' => null,
            ]),
        );
        $job->readings = self::each($job->readings ?? [], ['correction_mm' => null]);
        foreach (['evidence', 'photos', 'operations', 'costs'] as $list) {
            $job->{$list} ??= [];
        }
        $job->quote ??= (object) [
            'bought_price' => null,
            'bought_lead_days' => null,
            'alternative' => '',
            'decided' => null,
            'reason' => '',
            'first_of_its_kind' => true,
        ];
        $job->waits ??= null;

        return $job;
    }

    /** Nothing was decided or tried then that was kept. */
    private static function fromSecond(\stdClass $job): \stdClass
    {
        $job->version = 3;
        $job->concessions = [];
        $job->trials = [];

        return $job;
    }

    /** Roles were free text once. */
    private static function surface(mixed $surface): mixed
    {
        if (
            $surface instanceof \stdClass
            && ! in_array($surface->role ?? null, ['locates', 'carries', 'seals', 'turns', 'only clears'], true)
        ) {
            $surface->role = null;
        }

        return $surface;
    }

    /**
     * @param  array<string, mixed>  $blank
     * @return list<mixed>
     */
    private static function each(mixed $things, array $blank): array
    {
        return is_array($things)
            ? array_map(
                static fn (mixed $t): mixed => is_object($t) ? (object) [...$blank, ...(array) $t] : $t,
                array_values($things),
            )
            : [];
    }
}
