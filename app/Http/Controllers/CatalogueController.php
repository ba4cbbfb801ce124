<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\OwnInstrument;
use Illuminate\Http\JsonResponse;
use Oldpart\Core\Answer\KindThumb;
use Oldpart\Core\Catalogue\Glossary;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Catalogue\MaterialTests;
use Oldpart\Core\Facts\Cause;
use Oldpart\Core\Facts\Criticality;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Making\MachineFigure;
use Oldpart\Core\Making\MachineKind;
use Oldpart\Core\Making\Recipe;
use Oldpart\Core\Making\Treatment;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Safety\Gate;
use Oldpart\Core\Shape\SurfaceType;
use Oldpart\Core\Thread\Tightening;

final class CatalogueController
{
    public function glossary(): JsonResponse
    {
        return new JsonResponse(['words' => Glossary::words()]);
    }

    public function index(): JsonResponse
    {
        return new JsonResponse([
            'materials' => array_map(
                static fn (Material $m): array => [
                    'name' => $m->name,
                    'family' => $m->family,
                    'brittle' => $m->brittle,
                    'remark' => $m->remark,
                ],
                Material::all(),
            ),
            'instruments' => array_map(
                static fn (Instrument $i): array => [
                    'code' => $i->code,
                    'name' => $i->name,
                    'fits' => $i->fits,
                    'sure_to' => LengthWriter::difference($i->bestU95Mm($i->fromMm)),
                ],
                array_values(array_filter(OwnInstrument::set()->all(), static fn (Instrument $i): bool => $i->inShop)),
            ),
            'purposes' => array_map(
                static fn (Purpose $p): array => [
                    ...$p->jsonSerialize(),
                    'tight' => $p->tight,
                    'length' => $p->isLength,
                ],
                Purpose::all(),
            ),
            'gates' => array_map(
                static fn (Gate $g): array => ['code' => $g->code, 'name' => $g->name, 'says' => $g->says],
                Gate::all(),
            ),
            'surface_kinds' => array_map(
                static fn (SurfaceType $t): array => [
                    'code' => $t->value,
                    'name' => $t->label(),
                    'angle' => $t->angleLabel(),
                    'counted' => $t->isCounted(),
                    'thread' => $t->isThread(),
                    'finish' => $t->hasFinish(),
                    'off' => $t->maySitOff(),
                    'sized' => $t->isSized(),
                    'sizes' => array_map(
                        static fn (string $field, string $label): array => ['field' => $field, 'label' => $label],
                        array_keys($t->sizes()),
                        array_values($t->sizes()),
                    ),
                ],
                SurfaceType::cases(),
            ),
            'treatments' => array_map(
                static fn (Treatment $t): array => ['code' => $t->code, 'name' => $t->name],
                Treatment::all(),
            ),
            'machine_kinds' => array_map(
                static fn (MachineKind $k): array => [
                    'code' => $k->code,
                    'name' => $k->name,
                    'figures' => array_map(static fn (MachineFigure $f): array => [
                        'field' => $f->field,
                        'label' => $f->label,
                        'length' => $f->isLength(),
                        'words' => $f->words,
                    ], $k->figures),
                ],
                MachineKind::all(),
            ),
            'usual_shops' => array_map(static fn (array $shop): array => [
                ...$shop,
                'machines' => array_map(
                    static fn (array $m): array => [...$m, 'figures' => (object) $m['figures']],
                    $shop['machines'],
                ),
            ], Machine::usual()),
            'usual_recipes' => Recipe::usual(),
            'bolt_classes' => Tightening::classes(),
            'metal_tests' => MaterialTests::all(),
            'causes' => array_map(
                static fn (Cause $c): array => ['code' => $c->value, 'says' => $c->advice()],
                Cause::cases(),
            ),
            'criticalities' => array_map(
                static fn (Criticality $c): array => ['code' => $c->value, 'says' => $c->says()],
                Criticality::cases(),
            ),
        ]);
    }

    /** The sheet of what can be made, each with its own picture. */
    public function kinds(): JsonResponse
    {
        return new JsonResponse([
            'kinds' => array_map(
                static fn (Kind $k): array => [
                    'code' => $k->code,
                    'name' => $k->name,
                    'says' => $k->says,
                    'words' => $k->words,
                    'thumb' => KindThumb::of($k),
                ],
                Kind::all(),
            ),
        ]);
    }
}
