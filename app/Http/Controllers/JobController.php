<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\BenchList;
use App\Bench\FactList;
use App\Bench\Finder;
use App\Bench\JobHistory;
use App\Bench\JobStore;
use App\Change\FactChange;
use App\Http\Body;
use App\Http\Id;
use App\Models\Job;
use App\People\Act;
use App\People\Here;
use App\Wire\Sent;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Loops\LoopFromFaces;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\MistakeCause;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;

final class JobController
{
    public function __construct(private readonly JobStore $store)
    {
    }

    public function index(Request $request, BenchList $bench): JsonResponse
    {
        return new JsonResponse($bench->of(self::shelf($request->query('shelf', 'bench'))));
    }

    public function find(Request $request, Finder $finder): JsonResponse
    {
        $text = $request->query('q', '');
        $within = $request->query('within_mm', '0.2');
        if (! is_string($text) || mb_strlen($text) > 200) {
            throw new BadInput('too-long', 'q', 'That is too long to look for. A word or a size will do.');
        }
        if (! is_string($within) || ! is_numeric($within) || (float) $within <= 0 || (float) $within > 50) {
            throw new BadInput('within', 'within_mm', 'How far off a size may be is from above 0 to 50 mm.');
        }

        return new JsonResponse($finder->find($text, (float) $within));
    }

    /** Onto the bench, into the archive, or into the bin. */
    public function shelve(Request $request, string $job): JsonResponse
    {
        $in = Body::of($request)->only(['shelf']);
        $shelf = self::shelf($in->text('shelf'));
        if ($shelf === 'bin') {
            Here::refuseUnless(Act::Answer);
        }
        $this->store->put($job, $shelf);

        return new JsonResponse(['shelf' => $shelf]);
    }

    public function copy(Request $request, string $job): JsonResponse
    {
        $in = Body::of($request)->only(['id']);

        return Sent::state($request, $this->store->copy($job, Id::of($in->text('id'))), 201);
    }

    /** @return 'bench'|'archive'|'bin' */
    private static function shelf(mixed $shelf): string
    {
        return match ($shelf) {
            'bench', 'archive', 'bin' => $shelf,
            default => throw new BadInput('shelf', 'shelf', 'A job lies on the bench, in the archive or in the bin.'),
        };
    }

    public function store(Request $request): JsonResponse
    {
        $in = Body::of($request)->only(['id', 'kind', 'machine', 'part', 'unit']);

        return Sent::state($request, $this->store->start(
            Id::of($in->text('id')),
            $in->text('kind'),
            $in->text('machine'),
            $in->text('part'),
            $in->choice('unit', Unit::class),
        ),
            201,
        );
    }

    public function show(Request $request, string $job): JsonResponse
    {
        return Sent::state($request, $this->store->state($job));
    }

    public function update(Request $request, string $job): JsonResponse
    {
        return $this->change($request, $job, null, '');
    }

    public function put(Request $request, string $job, string $list, string $thing): JsonResponse
    {
        return $this->change($request, $job, self::list($list), Id::of($thing));
    }

    public function destroy(Request $request, string $job, string $list, string $thing): JsonResponse
    {
        $in = Body::of($request)->only(['version', 'request']);

        return Sent::state($request, $this->store->apply($job, self::version($in), $in->text('request'), [
            new FactChange(self::list($list), Id::of($thing), null),
        ]),
        );
    }

    public function preview(Request $request, string $job): JsonResponse
    {
        $body = Body::array($request);
        $shows = array_key_exists('shows', $body)
            ? (new Fields(['shows' => $body['shows']]))->texts('shows')
            : null;
        unset($body['shows']);
        $changes = self::changes(array_key_exists('changes', $body) ? $body['changes'] : [$body]);

        $known = Sent::known($request, $job);
        $shows = $known === null ? null : $shows;

        return Sent::preview(
            $request,
            $known,
            $this->store->preview($job, $changes, $shows === null || in_array('joints', $shows, true)),
            $changes[count($changes) - 1]->understood(),
            $shows,
        );
    }

    /** A list of changes as one: stored and answered together, taken back together. */
    public function changeAll(Request $request, string $job): JsonResponse
    {
        $body = Body::array($request);
        $in = (new Fields($body))->only(['version', 'request', 'changes']);

        return Sent::state($request, $this->store->apply(
            $job,
            self::version($in),
            $in->text('request'),
            self::changes($body['changes'] ?? null),
        ),
        );
    }

    /** @return non-empty-list<FactChange> */
    private static function changes(mixed $rows): array
    {
        if (! is_array($rows) || $rows === [] || ! array_is_list($rows) || count($rows) > 50) {
            throw new BadInput('bad-field', 'changes', '“changes” must be a list of 1 to 50 changes.');
        }

        return array_map(static function (mixed $row): FactChange {
            $row = is_array($row) ? $row : [];
            $in = (new Fields($row))->only(['list', 'thing', 'fact']);
            $list = $in->textOrNull('list');

            return new FactChange(
                $list === null ? null : self::list($list),
                $list === null ? '' : Id::of($in->text('thing'), 'thing'),
                array_key_exists('fact', $row) && $row['fact'] === null && $list !== null ? null : self::fact($row),
            );
        }, $rows);
    }

    public function faces(Request $request, string $job): JsonResponse
    {
        $in = Body::of($request)->only(['faces']);
        $facts = $this->store->facts($job);

        return new JsonResponse(LoopFromFaces::of($facts, JobAnswers::of($facts)->shapes, $in->texts('faces')));
    }

    public function mistake(Request $request, string $job): JsonResponse
    {
        $in = Body::of($request)->only([
            'version',
            'request',
            'id',
            'surface',
            'loop',
            'place',
            'right',
            'cause',
            'note',
        ]);
        $right = $in->lengthOrNull('right', reading: $in->textOrNull('surface') !== null);

        return Sent::state($request, $this->store->mistake(
            $job,
            self::version($in),
            $in->text('request'),
            Id::of($in->text('id')),
            $in->textOrNull('surface'),
            $in->textOrNull('loop'),
            $in->has('place') ? (int) $in->number('place') : null,
            $right === null ? null : ['typed' => $right->typed, 'unit' => $right->unit->value],
            $in->choice('cause', MistakeCause::class)->value,
            $in->label('note'),
        ),
        );
    }

    public function history(Request $request, string $job): JsonResponse
    {
        Job::query()->findOrFail($job);
        $before = $request->query('before');

        $surface = $request->query('surface');

        return new JsonResponse([
            'rows' => JobHistory::of(
                $job,
                is_string($before) && ctype_digit($before) ? (int) $before : null,
                is_string($surface) && $surface !== '' ? $surface : null,
            ),
        ]);
    }

    /** The job as it was after one of its changes. */
    public function asOf(Request $request, string $job, int $change): JsonResponse
    {
        return Sent::state($request, $this->store->asOf($job, $change));
    }

    public function bringBack(Request $request, string $job, int $change): JsonResponse
    {
        $in = Body::of($request)->only(['version', 'request']);

        return Sent::state($request, $this->store->bringBack($job, self::version($in), $in->text('request'), $change));
    }

    public function undo(Request $request, string $job): JsonResponse
    {
        $in = Body::of($request)->only(['version', 'request']);

        return Sent::state($request, $this->store->undo($job, self::version($in), $in->text('request')));
    }

    public function redo(Request $request, string $job): JsonResponse
    {
        $in = Body::of($request)->only(['version', 'request']);

        return Sent::state($request, $this->store->redo($job, self::version($in), $in->text('request')));
    }

    public function import(Request $request): JsonResponse
    {
        return Sent::state($request, $this->store->import($request->getContent()), 201);
    }

    public function file(string $job): Response
    {
        $facts = $this->store->facts($job);
        $name = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower("{$facts->machine} {$facts->part}")), '-');

        return new Response(JobFile::write($facts), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="'.($name === '' ? 'job' : $name).'.job.json"',
        ]);
    }

    private function change(Request $request, string $job, ?FactList $list, string $thing): JsonResponse
    {
        $body = Body::array($request);
        $in = (new Fields($body))->only(['version', 'request', 'fact']);

        return Sent::state($request, $this->store->apply($job, self::version($in), $in->text('request'), [
            new FactChange($list, $thing, self::fact($body)),
        ]),
        );
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @return array<string, mixed>
     */
    private static function fact(array $body): array
    {
        $fact = $body['fact'] ?? null;
        if (! is_array($fact) || $fact === [] || array_filter(array_keys($fact), is_int(...)) !== []) {
            throw new BadInput('bad-field', 'fact', '“fact” must be an object with what changes.');
        }

        /** @var array<string, mixed> $fact */
        return $fact;
    }

    private static function version(Fields $in): int
    {
        return (int) $in->number('version');
    }

    private static function list(string $name): FactList
    {
        return FactList::tryFrom($name) ??
            throw new BadInput('unknown-list', 'list', "A job has no list called “{$name}”.");
    }
}
