<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Facts\JobFacts;

/** Whose hands were on the job: what each who signed in measured, cut, tried, pressed and ticked. */
final readonly class HandsAnswer implements \JsonSerializable
{
    public function __construct(private JobFacts $facts)
    {
    }

    /**
     * In the order in which they first did something that is still in the record; what nobody signed for is not
     * listed.
     *
     * @return list<array{by: string, did: list<string>}>
     */
    public function jsonSerialize(): array
    {
        $surfaces = array_column($this->facts->surfaces, 'name', 'id');
        $joints = array_column($this->facts->joints, 'name', 'id');
        $loops = array_column($this->facts->loops, 'name', 'id');
        $done = [];
        foreach ($this->facts->readings as $reading) {
            $done[$reading->by ?? '']['measured'][$surfaces[$reading->surface] ?? ''] = true;
        }
        foreach ($this->facts->cuts as $cut) {
            // A cut of which nothing was dialled is a measurement of what was cut.
            $done[$cut->by ?? ''][$cut->dialled === null ? 'measured' : 'cut'][$surfaces[$cut->surface] ?? ''] = true;
        }
        foreach ($this->facts->trials as $trial) {
            $done[$trial->by ?? '']['tried'][$joints[$trial->joint ?? ''] ?? $loops[$trial->loop ?? ''] ?? ''] = true;
        }
        foreach ($this->facts->pushes as $push) {
            $done[$push->by ?? '']['pressed'][$joints[$push->joint] ?? ''] = true;
        }
        foreach ($this->facts->ticks as $tick) {
            $done[$tick->by ?? '']['ticked'][$tick->code] = true;
        }
        unset($done['']);
        $rows = [];
        foreach ($done as $by => $did) {
            $rows[] = ['by' => (string) $by, 'did' => array_map(self::said(...), array_keys($did), $did)];
        }

        return $rows;
    }

    /** @param  array<string, true>  $things */
    private static function said(string $did, array $things): string
    {
        $names = array_values(array_filter(array_keys($things), static fn (string|int $name): bool => $name !== ''));

        $list = implode(', ', $names);

        return match ($did) {
            'cut' => "cut: {$list}",
            'tried' => "tried: {$list}",
            'pressed' => "pressed: {$list}",
            'ticked' => count($things) === 1 ? 'ticked one point' : 'ticked '.count($things).' points',
            default => "measured: {$list}",
        };
    }
}
