<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\SurfaceKind;

/** What one has before one in practice: what can be read, cut, tried and put together, and what was done so far. */
final readonly class BenchView implements \JsonSerializable
{
    /** As many of the latest deeds as anybody looks back on. */
    private const SHOWN = 40;

    public function __construct(private Lesson $lesson, private Workshop $shop)
    {
    }

    /** @return array<string, mixed> nothing of what is hidden */
    public function jsonSerialize(): array
    {
        $laid = $this->shop->laid;

        return [
            'lesson' => self::lesson($this->lesson),
            'seed' => $this->shop->truth->seed,
            'unit' => $laid->unit->value,
            'over' => $this->shop->isOver(),
            'minutes' => $this->shop->minutes(),
            'surfaces' => array_map(fn (array $thing): array => [
                'id' => $thing['surface']->id,
                'name' => $thing['surface']->name,
                'part' => $laid->partOf($thing['surface'])->name,
                'kind' => $thing['true']->kind->value,
                'cut' => $thing['true']->cut && $thing['surface']->type->isSized(),
                'two_faces' => $thing['true']->otherFaceMm > 0,
                'gauges' => $this->gauges($thing['true']),
            ], $this->shop->things()),
            'gauges' => array_map(
                static fn (Instrument $i): array => ['code' => $i->code, 'name' => $i->name],
                $laid->shop->instruments->all(),
            ),
            'joints' => $this->joints(),
            'parts' => array_map(
                static fn (PartFacts $part): array => ['id' => $part->id, 'name' => $part->name],
                $laid->parts,
            ),
            'tests' => self::tests(),
            'bars' => $this->shop->truth->bars,
            'spindle_mm' => $this->shop->truth->bars === [] ? null : $this->shop->truth->spindleMm,
            'dial_on_radius' => $this->shop->truth->lathe->onRadius,
            'runs' => $this->runs(),
            'deeds' => array_map(self::deed(...), array_slice($this->shop->deeds(), -self::SHOWN)),
        ];
    }

    /** @return array<string, mixed> */
    public static function lesson(Lesson $lesson): array
    {
        return [
            'code' => $lesson->code,
            'title' => $lesson->title,
            'level' => $lesson->level->value,
            'level_label' => $lesson->level->label(),
            'kind' => $lesson->kind->code,
            'kind_name' => $lesson->kind->name,
            'skill' => $lesson->skill->label(),
            'story' => $lesson->story,
        ];
    }

    /** @return array<string, mixed> as one saw it */
    public static function deed(Deed $deed): array
    {
        return [...$deed->jsonSerialize(), 'result' => (object) array_intersect_key(
            $deed->result,
            array_flip(['mm', 'outcome', 'celsius', 'force_n', 'says', 'through', 'long', 'clean']),
        )];
    }

    /** @return list<string> codes of those that can read it */
    private function gauges(TrueSurface $surface): array
    {
        $able = array_filter(
            $this->shop->laid->shop->instruments->all(),
            static fn (Instrument $i): bool => $i->code !== 'pins'
                && ($i->travelMm !== null
                    ? $surface->kind !== SurfaceKind::Length && $surface->offCentreMm > 0
                    : $i->canMeasure($surface->kind, $surface->shape->sizeMm)),
        );

        return array_values(array_map(static fn (Instrument $i): string => $i->code, $able));
    }

    /** @return list<array<string, mixed>> */
    private function joints(): array
    {
        $joints = array_filter($this->shop->laid->joints, function (JointFacts $j): bool {
            $purpose = Purpose::orNull($j->purpose);

            return $purpose !== null && $purpose->shape === null && ! $purpose->isLength
                && $this->shop->surface($j->inner) !== null && $this->shop->surface($j->outer) !== null;
        });

        return array_values(array_map(fn (JointFacts $j): array => [
            'id' => $j->id,
            'name' => $j->name,
            'joined' => $this->shop->joined()[$j->id]->value ?? null,
        ], $joints));
    }

    /** Something turns in it, so that its bores may be out of line with others. */
    private function runs(): bool
    {
        return array_filter(
            $this->shop->laid->joints,
            static fn (JointFacts $j): bool => Purpose::orNull($j->purpose)->runs ?? false,
        ) !== [];
    }

    /** @return list<array{code: string, name: string, how: string, outcomes: array<string, string>}> */
    private static function tests(): array
    {
        /** @var array{tests: list<array{code: string, name: string, how: string, outcomes: list<array{code: string, says: string}>}>} $table */
        $table = Table::read('material-tests');

        return array_map(static fn (array $test): array => [
            'code' => $test['code'],
            'name' => $test['name'],
            'how' => $test['how'],
            'outcomes' => array_column($test['outcomes'], 'says', 'code'),
        ], $table['tests']);
    }
}
