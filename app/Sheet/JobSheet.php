<?php

declare(strict_types=1);

namespace App\Sheet;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Shop\ShopDrawing;
use Oldpart\Core\Picture\SvgWriter;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Safety\Caution;
use Oldpart\Core\Safety\Gate;
use Oldpart\Core\Sum\ResultLines;

/** The as-built sheet: prints in black on A4 or Letter. */
final class JobSheet
{
    /** What a drawing may take of a page. */
    private const WIDE_MM = 174.0;

    private const HIGH_MM = 105.0;

    public function __construct(private readonly Printer $printer, private readonly Speech $speech)
    {
    }

    public function pdf(JobFacts $facts, Unit $unit, Paper $paper): string
    {
        return $this->printer->pdf($this->html($facts, $unit), $paper);
    }

    /** @param  ?array{number: int, by: string, checksum: string, changes: list<string>}  $issue  of one that is issued */
    public function html(JobFacts $facts, Unit $unit, ?array $issue = null): string
    {
        $this->speech->facts($facts);
        $answers = JobAnswers::of($facts);
        $decoded = json_decode(json_encode($answers, JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR);

        return $this->speech->html(view('sheet', [
            'facts' => $facts,
            'issue' => $issue,
            'answers' => $decoded,
            'unit' => $unit,
            'say' => static fn (array|string|null $s): string => is_array($s) ? $s[$unit->value] : $s ?? '–',
            'picture' => $this->image($answers->pictures->assembly(), $unit),
            'gates' => Gate::those($facts->takeIn->gates),
            'acceptance' => $facts->takeIn->acceptance(),
            'parts' => $this->madeParts($answers, $facts, $unit),
            'shapes' => array_map(
                fn (ShapedSurface $shape): ?string => $this->image($shape->picture, $unit),
                $answers->shaped,
            ),
            'reckoned' => $this->reckoned($answers, $unit),
            'cautions' => [...$answers->assembly->allCautions(), ...Caution::for('machining')],
            'notes' => array_values(
                array_filter(
                    array_map(
                        static fn ($note): array => [
                            'severity' => $note->severity->value,
                            'say' => self::pick($note->say, $unit),
                        ],
                        $answers->notes,
                    ),
                ),
            ),
        ])->render());
    }

    /** @return list<array{name: string, note: string, picture: ?string, lines: list<array{string, string}>, notes: list<string>, steps: list<string>, rounds: list<array{string, string}>}> the sums of the job that came to something */
    private function reckoned(JobAnswers $answers, Unit $unit): array
    {
        $sums = [];
        foreach ($answers->reckoned as $one) {
            if ($one->result === null) {
                continue;
            }
            $picture = $one->result['picture'] ?? null;
            $notes = $one->result['notes'] ?? [];
            $steps = $one->result['steps'] ?? [];
            $sums[] = [
                'name' => $one->facts->name,
                'note' => $one->facts->note,
                'picture' => $picture instanceof Drawing ? $this->image($picture, $unit) : null,
                'lines' => array_map(
                    static fn (array $line): array => [$line['name'], self::pick($line['says'], $unit)],
                    $one->lines(),
                ),
                'notes' => array_map(
                    static fn (Note $note): string => self::pick($note->say, $unit),
                    is_array($notes) ? array_values(
                        array_filter($notes, static fn (mixed $n): bool => $n instanceof Note),
                    ) : [],
                ),
                'steps' => array_map(
                    static fn (Say $step): string => self::pick($step, $unit),
                    is_array($steps) ? array_values(
                        array_filter($steps, static fn (mixed $s): bool => $s instanceof Say),
                    ) : [],
                ),
                'rounds' => array_map(
                    static fn (array $round): array => [
                        $round['note'],
                        implode(', ', array_map(
                            static fn (array $line): string => "{$line['name']} ".self::pick($line['says'], $unit),
                            ResultLines::of($one->facts->sum, $round['result'] ?? []),
                        )),
                    ],
                    $one->rounds,
                ),
            ];
        }

        return $sums;
    }

    /** @return list<array{name: string, material: string, section: ?string, wide: float, unsaid: list<string>, places: list<array{string, string, string, string}>, face: ?string, other: ?string}> each part that is cut by itself */
    private function madeParts(JobAnswers $answers, JobFacts $facts, Unit $unit): array
    {
        $views = $answers->shopViews($facts);
        $parts = [];
        foreach ($facts->parts as $part) {
            $cut = array_filter($facts->surfacesOf($part->id), $facts->isCut(...));
            if ($part->origin === Origin::Make || $cut !== []) {
                $view = isset($views->parts()[$part->id]) ? $views->of($part->id) : null;
                $drawing = $view === null ? null : ShopDrawing::draw($view);
                $parts[] = [
                    'name' => $part->name,
                    'material' => $part->material ?? 'metal not said',
                    'section' => $this->image($drawing, $unit),
                    'wide' => $drawing === null ? 0.0 : min(self::WIDE_MM, (self::HIGH_MM * $drawing->width) / $drawing->height),
                    'unsaid' => $view->unsaid ?? [],
                    'places' => $this->places($answers, $facts, $part->id, $unit),
                    'face' => $this->image($views->face($part->id)?->draw(), $unit),
                    'other' => $this->image($views->otherHand($part->id)?->draw(), $unit),
                ];
            }
        }

        return $parts;
    }

    /** @return list<array{string, string, string, string}> what lies off the middle, and each hole of a pattern: its name, x, y, and x for the other hand */
    private function places(JobAnswers $answers, JobFacts $facts, string $part, Unit $unit): array
    {
        $at = static fn (float $mm): string => self::pick(LengthWriter::signed($mm), $unit);
        $place = static fn (string $name, float $x, float $y): array => [$name, $at($x), $at($y), $at(-$x)];
        $places = [];
        foreach ($facts->surfacesOf($part) as $surface) {
            if ($facts->isCut($surface) && ($surface->x !== null || $surface->y !== null)) {
                $places[] = $place($surface->name, $surface->x->length->mm ?? 0.0, $surface->y->length->mm ?? 0.0);
            }
        }
        foreach ($answers->shaped as $shape) {
            foreach ($shape->surface->part === $part ? $shape->places : [] as $hole) {
                $places[] = $place("{$shape->surface->name}, hole {$hole->number}", $hole->xMm, $hole->yMm);
            }
        }

        return $places;
    }

    private static function pick(Say $say, Unit $unit): string
    {
        return $unit === Unit::Inch ? $say->in : $say->mm;
    }

    private function image(?Drawing $drawing, Unit $unit): ?string
    {
        return $drawing === null
            ? null
            : 'data:image/svg+xml;base64,'.base64_encode((new SvgWriter($unit, doubled: true))->write($drawing));
    }
}
