<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shapes;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Facts\Criticality;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\SurfaceFacts;

/** Which surfaces could be measured and held from. Source: common practice of the trade. */
final readonly class Datums implements \JsonSerializable
{
    /**
     * @param  list<SurfaceFacts>  $candidates  could serve
     * @param  list<Note>  $notes
     */
    private function __construct(public array $candidates, public bool $none, public array $notes)
    {
    }

    public static function of(JobFacts $facts): self
    {
        $candidates = $notes = [];
        $none = false;
        foreach ($facts->parts as $part) {
            if ($part->origin === Origin::Make) {
                continue;
            }
            $surfaces = $facts->surfacesOf($part->id);
            $could = array_values(array_filter($surfaces, self::couldServe(...)));
            array_push($candidates, ...$could);
            $critical = array_filter(
                $surfaces,
                static fn (SurfaceFacts $s): bool => $s->criticality === Criticality::Critical,
            );
            if ($part->origin === Origin::Found && $critical !== [] && $could === []) {
                $none = true;
                $notes[] = Note::caution(
                    'no-datum',
                    "No surface of the {$part->name} can serve as datum: they are worn, damaged or missing. Measure from a machined face that survives, or set the part up on its bolt holes; a worn bore is no datum.",
                    $part->id,
                );
            }
        }
        foreach ($facts->surfaces as $surface) {
            if ($surface->datum && $surface->work !== null) {
                $notes[] = Note::caution(
                    'worked-datum',
                    "{$surface->name} is chosen as datum and is cut again: it is gone once the work begins. Set up from something that stays, or transfer it first.",
                    $surface->id,
                );
            }
            if ($surface->datum && $surface->condition !== null && ! $surface->condition->isTrue()) {
                $notes[] = Note::caution(
                    'worn-datum',
                    "{$surface->name} is chosen as datum and is {$surface->condition->value}: what is measured from it is off by as much.",
                    $surface->id,
                );
            }
        }

        return new self($candidates, $none, $notes);
    }

    /** The right type, and not known to be worn or worse; a bore that is to be worked is no datum. */
    private static function couldServe(SurfaceFacts $surface): bool
    {
        return $surface->work === null
            && $surface->type->canBeDatum()
            && ($surface->condition === null || $surface->condition->isTrue());
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'candidates' => array_map(
                static fn (SurfaceFacts $s): array => [
                    'surface' => $s->id,
                    'name' => $s->name,
                    'chosen' => $s->datum,
                    'sure' => $s->condition !== null,
                ],
                $this->candidates,
            ),
            'none' => $this->none,
            'notes' => $this->notes,
        ];
    }
}
