<?php

declare(strict_types=1);

namespace App\Practice;

use App\Bench\JobStore;
use App\Models\DeedRow;
use App\Models\Job;
use App\Models\Practice;
use App\Models\Shop;
use App\People\Here;
use Illuminate\Support\Facades\DB;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Practice\BenchView;
use Oldpart\Core\Practice\Debrief;
use Oldpart\Core\Practice\Deed;
use Oldpart\Core\Practice\Lesson;
use Oldpart\Core\Practice\Truth;
use Oldpart\Core\Practice\Workshop;
use Oldpart\Core\Quantity\Fields;

/** Keeps practice: starts it, does what is done in it once, and tells the truth when it is over. */
final class Practising
{
    /** Nobody does more than this on one job; a runaway page is stopped. */
    private const MOST_DEEDS = 3000;

    public function __construct(private readonly JobStore $store)
    {
    }

    /** Starting the same one twice (a retry) gives the same one. */
    public function start(string $id, Lesson $lesson, int $seed): void
    {
        DB::transaction(function () use ($id, $lesson, $seed): void {
            if (Job::query()->whereKey($id)->exists()) {
                return;
            }
            $laid = $lesson->layOut($id, Shop::here()->facts(), $seed);
            $this->store->lay($laid);
            Practice::query()->create(['job_id' => $id, 'by' => Here::name(), 'laid' => JobFile::toArray($laid)]);
        });
    }

    /** @return array{lesson: Lesson, shop: Workshop, facts: JobFacts} */
    private function open(string $id): array
    {
        $facts = $this->store->facts($id);
        $practice = Practice::query()->find($id);
        if ($facts->practice === null || ! $practice instanceof Practice) {
            throw new BadInput(
                'no-practice',
                'job',
                'Nothing simulated stands behind this job. Start the lesson anew to work on it.',
            );
        }
        $lesson = Lesson::of($facts->practice);
        $laid = JobFacts::fromArray($practice->laid);
        $deeds = [];
        foreach (DeedRow::query()->where('job_id', $id)->orderBy('place')->get() as $row) {
            assert($row instanceof DeedRow);
            $deeds[] = Deed::read(new Fields($row->deed), $row->result);
        }

        return [
            'lesson' => $lesson,
            'shop' => new Workshop($laid, Truth::of($lesson, $facts->practice->seed, $laid), $deeds),
            'facts' => $facts,
        ];
    }

    /** @return array{bench: BenchView, debrief: ?Debrief} the truth only once it is over */
    public function bench(string $id): array
    {
        ['lesson' => $lesson, 'shop' => $shop, 'facts' => $facts] = $this->open($id);

        return [
            'bench' => new BenchView($lesson, $shop),
            'debrief' => $shop->isOver() ? Debrief::of($lesson, $shop, $facts) : null,
        ];
    }

    /**
     * Does it once, however often it is sent.
     *
     * @return array{deed: Deed, bench: BenchView, debrief: ?Debrief}
     */
    public function do(string $id, Deed $deed): array
    {
        return DB::transaction(function () use ($id, $deed): array {
            ['lesson' => $lesson, 'shop' => $shop, 'facts' => $facts] = $this->open($id);
            $known = DeedRow::query()->whereKey($deed->id)->first();
            if ($known !== null && $known->job_id !== $id) {
                throw new BadInput('id-taken', 'id', 'This id belongs to another practice. Make a fresh one.');
            }
            if ($known !== null) {
                $done = Deed::read(new Fields($known->deed), $known->result);
            } else {
                $place = count($shop->deeds());
                if ($place >= self::MOST_DEEDS) {
                    throw new BadInput('too-many', 'kind', 'That is enough for one job. Hand it over.');
                }
                $done = $shop->do($deed);
                DeedRow::query()->create([
                    'id' => $deed->id,
                    'job_id' => $id,
                    'place' => $place,
                    'deed' => array_diff_key($done->jsonSerialize(), ['result' => 0]),
                    'result' => $done->result,
                    'by' => Here::name(),
                    'at' => now()->toIso8601ZuluString(),
                ]);
            }
            $debrief = $shop->isOver() ? Debrief::of($lesson, $shop, $facts) : null;
            if ($debrief !== null && $known === null) {
                Practice::query()->whereKey($id)->update([
                    'ended_at' => now()->toIso8601ZuluString(),
                    'good' => $debrief->good,
                    'scores' => json_encode($debrief->scores),
                ]);
            }

            return ['deed' => $done, 'bench' => new BenchView($lesson, $shop), 'debrief' => $debrief];
        });
    }
}
