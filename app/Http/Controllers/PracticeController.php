<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use App\Http\Id;
use App\Models\ExerciseRow;
use App\Models\Job;
use App\Models\Practice;
use App\People\Here;
use App\Practice\Practising;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\PracticeFacts;
use Oldpart\Core\Practice\BenchView;
use Oldpart\Core\Practice\Deed;
use Oldpart\Core\Practice\DeedKind;
use Oldpart\Core\Practice\Exercise;
use Oldpart\Core\Practice\ExerciseKind;
use Oldpart\Core\Practice\GaugeFace;
use Oldpart\Core\Practice\Lesson;
use Oldpart\Core\Practice\Level;
use Oldpart\Core\Practice\Skill;
use Oldpart\Core\Quantity\Unit;

/** Practice on simulated parts: lessons, free practice, what is done, the truth, and reading exercises. */
final class PracticeController
{
    /** As many of the latest as anybody looks back on. */
    private const SHOWN = 50;

    public function __construct(private readonly Practising $practising)
    {
    }

    public function index(): JsonResponse
    {
        $mine = Here::signsIn() ? Here::name() : null;
        $rows = [];
        $query = Practice::query()->orderByDesc('created_at')->orderByDesc('job_id');
        if ($mine !== null) {
            $query->where('by', $mine);
        }
        foreach ($query->limit(self::SHOWN)->get() as $practice) {
            assert($practice instanceof Practice);
            $job = Job::query()->whereKey($practice->job_id)->whereNull('binned_at')->first();
            if ($job instanceof Job) {
                $rows[] = self::row($practice, $job);
            }
        }

        return new JsonResponse([
            'lessons' => array_map(BenchView::lesson(...), Lesson::all()),
            'kinds' => array_values(array_map(
                static fn (Kind $k): array => ['code' => $k->code, 'name' => $k->name],
                array_filter(Kind::all(), static fn (Kind $k): bool => $k->code !== 'free-form'),
            )),
            'levels' => array_map(
                static fn (Level $l): array => ['code' => $l->value, 'name' => $l->label()],
                Level::cases(),
            ),
            'skills' => array_map(
                static fn (Skill $s): array => ['code' => $s->value, 'name' => $s->label()],
                Skill::cases(),
            ),
            'exercises' => self::exercises($mine),
            'practices' => $rows,
        ]);
    }

    /** @return array<string, mixed> */
    private static function row(Practice $practice, Job $job): array
    {
        /** @var array{lesson: string, kind: string, level: string, seed: int}|null $facts */
        $facts = $job->getAttribute('practice');

        return [
            'job' => $practice->job_id,
            'title' => $job->part,
            'lesson' => $facts['lesson'] ?? '',
            'kind' => $facts['kind'] ?? '',
            'level' => $facts['level'] ?? '',
            'seed' => $facts['seed'] ?? 0,
            'by' => $practice->by,
            'started_at' => $practice->created_at?->toIso8601ZuluString(),
            'ended_at' => $practice->ended_at,
            'good' => $practice->good,
            'scores' => $practice->scores,
        ];
    }

    /** @return list<array<string, mixed>> each kind, with how it went so far */
    private static function exercises(?string $mine): array
    {
        return array_map(static function (ExerciseKind $kind) use ($mine): array {
            $done = ExerciseRow::query()->where('kind', $kind->value)->whereNotNull('right')->where('by', $mine);
            $right = $done->clone()->where('right', true);

            return [
                'kind' => $kind->value,
                'label' => $kind->label(),
                'done' => $done->count(),
                'right' => $right->count(),
                'seconds' => is_numeric($of = $right->avg('seconds')) ? round((float) $of, 1) : null,
            ];
        }, ExerciseKind::cases());
    }

    public function store(Request $request): JsonResponse
    {
        $in = Body::of($request)->only(['id', 'lesson', 'kind', 'level', 'seed', 'unit']);
        $seed = $in->whole('seed');
        if ($seed < 0 || $seed > PracticeFacts::LARGEST_SEED) {
            throw new BadInput(
                'seed',
                'seed',
                'The number it is drawn by is a whole one from 0 to '.number_format(PracticeFacts::LARGEST_SEED).'.',
            );
        }
        $lesson = $in->has('lesson')
            ? Lesson::named($in->text('lesson'))
            : Lesson::free($in->text('kind'), $in->choice('level', Level::class), $in->choice('unit', Unit::class));
        $id = Id::of($in->text('id'));
        $this->practising->start($id, $lesson, $seed);

        return new JsonResponse(['job' => $id], 201);
    }

    public function show(string $job): JsonResponse
    {
        return new JsonResponse($this->practising->bench($job));
    }

    public function deed(Request $request, string $job): JsonResponse
    {
        $in = Body::of($request)->only([
            'id', 'kind', 'surface', 'instrument', 'along', 'angle_deg', 'tilt_deg', 'feel', 'other_face', 'mm',
            'minutes', 'joint', 'way', 'outer_c', 'inner_c', 'part', 'test', 'why',
        ]);
        Id::of($in->text('id'));
        $done = $this->practising->do($job, Deed::read($in));

        return new JsonResponse([
            'deed' => BenchView::deed($done['deed']),
            'face' => $this->face($done['deed'], $job),
            'bench' => $done['bench'],
            'debrief' => $done['debrief'],
        ]);
    }

    private function face(Deed $deed, string $job): mixed
    {
        $shown = $deed->kind === DeedKind::Read ? $deed->number('mm') : null;
        $row = $shown === null ? null : Job::query()->findOrFail($job);
        $tools = \App\Models\OwnInstrument::set();

        return $row instanceof Job && $shown !== null && $tools->has($deed->instrument ?? '')
            ? GaugeFace::of($tools->named($deed->instrument ?? ''), $shown, Unit::from($row->unit))
            : null;
    }

    public function exercise(Request $request): JsonResponse
    {
        $in = Body::of($request)->only(['id', 'kind']);
        $id = Id::of($in->text('id'));
        $kind = $in->choice('kind', ExerciseKind::class);
        $row = ExerciseRow::query()->firstOrCreate(
            ['id' => $id],
            [
                'kind' => $kind->value,
                'seed' => random_int(0, PracticeFacts::LARGEST_SEED),
                'by' => Here::name(),
                'asked_at' => now()->toIso8601String(),
            ],
        );

        return new JsonResponse(['id' => $id, 'exercise' => Exercise::draw(ExerciseKind::from($row->kind), $row->seed)], 201);
    }

    public function answer(Request $request, string $exercise): JsonResponse
    {
        $in = Body::of($request)->only(['typed']);
        $row = ExerciseRow::query()->findOrFail(Id::of($exercise));
        assert($row instanceof ExerciseRow);
        $of = Exercise::draw(ExerciseKind::from($row->kind), $row->seed);
        if ($row->right === null) {
            $right = $of->isRight($in->text('typed'));
            $row->update([
                'typed' => mb_substr($in->text('typed'), 0, 100),
                'right' => $right,
                'seconds' => round(Carbon::parse($row->asked_at)->diffInMilliseconds(now()) / 1000, 1),
            ]);
        }

        return new JsonResponse(['right' => $row->right, 'answer' => $of->answer, 'seconds' => $row->seconds]);
    }
}
