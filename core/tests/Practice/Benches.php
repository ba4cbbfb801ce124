<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Practice;

use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Practice\Debrief;
use Oldpart\Core\Practice\Deed;
use Oldpart\Core\Practice\Lesson;
use Oldpart\Core\Practice\Truth;
use Oldpart\Core\Practice\Workshop;
use Oldpart\Core\Quantity\Fields;

/** A lesson on the bench, to do things in by the names of its surfaces and joints. */
final class Benches
{
    public Workshop $shop;

    /** @var array<string, mixed> */
    private array $facts;

    private int $next = 0;

    public function __construct(public readonly Lesson $lesson, public readonly int $seed = 7, float $pressN = 90000.0)
    {
        $laid = $lesson->layOut('job-1', new ShopFacts('Test', 20.0, 0.01, 0.5, $pressN), $seed);
        $this->shop = new Workshop($laid, Truth::of($lesson, $seed, $laid), []);
        /** @var array<string, mixed> $facts */
        $facts = json_decode((string) json_encode($laid), true);
        $this->facts = $facts;
    }

    public static function lesson(string $code, int $seed = 7): self
    {
        return new self(Lesson::named($code), $seed);
    }

    public function surface(string $name): string
    {
        return array_column($this->shop->laid->surfaces, 'id', 'name')[$name];
    }

    public function joint(string $name): string
    {
        return array_column($this->shop->laid->joints, 'id', 'name')[$name];
    }

    public function trueMm(string $name): float
    {
        return $this->shop->surface($this->surface($name))->shape->sizeMm ?? NAN;
    }

    /** @param  array<string, mixed>  $deed */
    public function do(array $deed): Deed
    {
        return $this->shop->do(Deed::read(new Fields(['id' => 'd'.++$this->next, ...$deed])));
    }

    /**
     * A reading that is written down as it is shown.
     *
     * @param  array<string, mixed>  $held
     * @param  array<string, mixed>  $fact
     */
    public function reads(string $surface, string $tool, array $held = [], array $fact = []): Deed
    {
        $deed = $this->do(['kind' => 'read', 'surface' => $this->surface($surface), 'instrument' => $tool, ...$held]);
        $this->add('readings', [
            'id' => $deed->id,
            'surface' => $this->surface($surface),
            'station' => (string) ($held['along'] ?? '1'),
            'angle' => (string) ($held['angle_deg'] ?? '0'),
            'value' => ['typed' => number_format($deed->number('mm') ?? 0.0, 4, '.', ''), 'unit' => 'mm'],
            'was' => null,
            'instrument' => $tool,
            'part_c' => null,
            'gauge_c' => null,
            'worn' => null,
            'set_aside' => null,
            'remark' => null,
            'taken_at' => null,
            ...$fact,
        ]);

        return $deed;
    }

    /** The whole of a round surface. */
    public function measured(string $surface, string $tool): self
    {
        foreach ([0.2, 0.5, 0.8] as $along) {
            foreach ([0, 45, 90, 135] as $angle) {
                $this->reads($surface, $tool, ['along' => $along, 'angle_deg' => $angle]);
            }
        }

        return $this;
    }

    /** Cut until its true size is so much, each time cold. */
    public function cutTo(string $surface, float $mm): self
    {
        $id = $this->surface($surface);
        $owed = 0.0;
        for ($n = 0; $n < 60; $n++) {
            $grows = $this->shop->surface($id)?->kind === SurfaceKind::Bore;
            $left = ($grows ? 1 : -1) * ($mm - $this->trueMm($surface));
            if ($left < 0.003) {
                break;
            }
            // What the tool was pushed away by comes off with the next.
            $dial = max(0.0, min(0.5, 0.8 * $left - $owed));
            $owed = $this->do(['kind' => 'cut', 'surface' => $id, 'mm' => $dial])->number('owed') ?? 0.0;
            $this->do(['kind' => 'wait', 'minutes' => 300]);
        }

        return $this;
    }

    /** As it were cut or worn to just so much. */
    public function is(string $surface, float $mm, float $ovality = 0.0, float $taper = 0.0, float $lobes = 0.0): self
    {
        $id = $this->surface($surface);
        $cut = Deed::read(
            new Fields(['id' => 'd'.++$this->next, 'kind' => 'cut', 'surface' => $id]),
            ['sizes' => [$id => [$mm, $ovality, $taper, $lobes]]],
        );
        $this->shop = new Workshop($this->shop->laid, $this->shop->truth, [...$this->shop->deeds(), $cut]);

        return $this;
    }

    /** The bush of a plain bush job, by force into its housing. */
    public function pressed(): self
    {
        $this->do(['kind' => 'together', 'joint' => $this->joint('Bush in housing'), 'way' => 'press']);

        return $this;
    }

    /** As warm as that, now. */
    public function warm(string $part, float $celsius): self
    {
        $id = array_column($this->shop->laid->parts, 'id', 'name')[$part];
        $deed = Deed::read(new Fields(['id' => 'd'.++$this->next, 'kind' => 'warmth', 'part' => $id]), ['warm' => [$id => $celsius]]);
        $this->shop = new Workshop($this->shop->laid, $this->shop->truth, [...$this->shop->deeds(), $deed]);

        return $this;
    }

    /** @param  array<string, mixed>  $row */
    public function add(string $list, array $row): void
    {
        $this->facts[$list] = [...(array) $this->facts[$list], $row];
    }

    /** @param  array<string, mixed>  $changes */
    public function change(string $surface, array $changes): self
    {
        $this->facts['surfaces'] = array_map(
            static fn (array $s): array => $s['name'] === $surface ? [...$s, ...$changes] : $s,
            (array) $this->facts['surfaces'],
        );

        return $this;
    }

    public function facts(): JobFacts
    {
        return JobFacts::fromArray($this->facts);
    }

    public function debrief(): Debrief
    {
        if (! $this->shop->isOver()) {
            $this->do(['kind' => 'end']);
        }

        return Debrief::of($this->lesson, $this->shop, $this->facts());
    }
}
