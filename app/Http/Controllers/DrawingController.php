<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\JobStore;
use App\Sheet\Paper;
use App\Sheet\Printer;
use App\Sheet\Speech;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Exchange\PartDxf;
use Oldpart\Core\Exchange\Template;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Shop\ShopDrawing;
use Oldpart\Core\Picture\SvgWriter;
use Oldpart\Core\Quantity\Unit;

/** Drawings of the parts that are cut: on the screen, as open files, and one to one. */
final class DrawingController
{
    /** Round a template, mm: what printers leave white, and room for what is said under it. */
    private const EDGE = 6.0;

    private const WORDS = 12.0;

    /** From where a part is seen. */
    private const SIDE = 'side';

    private const FACE = 'face';

    private const OTHER = 'other hand';

    public function __construct(
        private readonly JobStore $store,
        private readonly Printer $printer,
        private readonly Speech $speech,
    ) {
    }

    public function index(string $job): JsonResponse
    {
        $facts = $this->store->facts($job);
        $answers = JobAnswers::of($facts, false);
        $views = $answers->shopViews($facts);
        $drawings = [];
        foreach ($views->parts() as $id => $name) {
            $view = $views->of($id);
            $drawings[] = self::drawn($id, $name, self::SIDE, ShopDrawing::draw($view), $view->unsaid);
            $drawings[] = self::drawn($id, "{$name}, from its end", self::FACE, $views->face($id)?->draw());
        }
        foreach ($views->plates() as $id => $name) {
            $drawings[] = self::drawn($id, $name, self::FACE, $views->face($id)?->draw());
        }
        foreach ($views->parts() + $views->plates() as $id => $name) {
            $drawings[] = self::drawn($id, "{$name}, other hand", self::OTHER, $views->otherHand($id)?->draw());
        }

        return new JsonResponse(['drawings' => array_values(array_filter(
            $drawings,
            static fn (array $d): bool => $d['drawing'] !== null,
        ))]);
    }

    /**
     * @param  list<string>  $unsaid  surfaces of which nobody said where they lie
     * @return array<string, mixed>
     */
    private static function drawn(string $part, string $name, string $view, ?Drawing $drawing, array $unsaid = []): array
    {
        return [
            'part' => $part,
            'name' => $name,
            'view' => $view,
            'drawing' => $drawing,
            'face' => $view !== self::SIDE,
            'unsaid' => $unsaid,
        ];
    }

    public function show(Request $request, string $job, string $part, string $form): Response
    {
        $facts = $this->store->facts($job);
        $unit = Unit::tryFrom($request->string('unit')->value()) ?? $facts->unit;
        $answers = JobAnswers::of($facts, false);
        $shape = $answers->shapes->shapes[$part] ?? throw new BadInput('no-part', 'part', 'This part is not in the job any more.');
        $views = $answers->shopViews($facts);
        $seen = $request->query('view');
        $face = $seen === self::OTHER ? $views->otherHand($part) : $views->face($part) ?? $shape->face();
        $view = isset($views->parts()[$part]) && ! in_array($seen, [self::FACE, self::OTHER], true) ? $views->of($part) : null;
        $drawing = $view === null ? $face?->draw() : ShopDrawing::draw($view);
        $name = $shape->part->name.($seen === self::OTHER ? ' other hand' : '');

        return match ($form) {
            'dxf' => self::file(PartDxf::of($shape, $view, $face, $unit), 'image/vnd.dxf', $facts, $name, 'dxf'),
            'svg' => self::file(
                $drawing === null ? throw self::nothing() : (new SvgWriter($unit))->write($drawing),
                'image/svg+xml',
                $facts,
                $name,
                'svg',
            ),
            'template' => $this->template($face === null ? throw self::nothing() : Template::svg($face), $request),
            default => throw new BadInput('no-form', 'form', 'A drawing comes as svg, dxf or template.'),
        };
    }

    /** @param  array{svg: string, width: float, height: float}  $template */
    private function template(array $template, Request $request): Response
    {
        $paper = Paper::named($request->query('paper', 'a4'));
        [$wide, $high] = $paper->size();
        $needs = [$template['width'] + 2 * self::EDGE, $template['height'] + 2 * self::EDGE + self::WORDS];
        $fits = $needs[0] <= $wide && $needs[1] <= $high;
        $html = $this->speech->html(
            view('template', [...$template, 'edge' => self::EDGE, 'fits' => $fits])->render(),
        );

        return new Response($this->printer->pdf($html, $fits ? $paper : $needs), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="template.pdf"',
        ]);
    }

    private static function nothing(): BadInput
    {
        return new BadInput('nothing-drawn', 'part', 'There is nothing to draw of this part yet: say its sizes at Survey, or measure it.');
    }

    private static function file(string $content, string $type, JobFacts $facts, string $part, string $ending): Response
    {
        $name = trim((string) preg_replace('/[^A-Za-z0-9]+/', '-', "{$facts->machine} {$part}"), '-') ?: 'part';

        return new Response($content, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => "attachment; filename=\"{$name}.{$ending}\"",
        ]);
    }
}
