<?php

declare(strict_types=1);

namespace App\Wire;

use App\Bench\JobState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Oldpart\Core\Answer\JobAnswers;

/**
 * A job's state or its answers on their way out: whole, or only what is not as the browser knows it.
 *
 * @phpstan-import-type Marks from Known
 */
final class Sent
{
    /** The browser names the state it holds by its tag. */
    private const HEADER = 'X-Known';

    public static function state(Request $request, JobState $state, int $status = 200): JsonResponse
    {
        $facts = Pieces::of($state->facts);
        $answers = Pieces::of($state->answers);
        $marks = ['facts' => $facts->marks(), 'answers' => $answers->marks()];
        $tag = hash('xxh3', serialize($marks));
        $base = $request->headers->get(self::HEADER);
        $known = Known::byTag($state->facts->id, $base);
        Known::keep($state->facts->id, $tag, $marks);
        $members = [
            '"version":'.$state->version,
            '"can_undo":'.($state->canUndo ? 'true' : 'false'),
            '"can_redo":'.($state->canRedo ? 'true' : 'false'),
            '"tag":"'.$tag.'"',
            ...($known === null
                ? ['"facts":'.$facts->json(), '"answers":'.$answers->json()]
                : [
                    '"base":"'.$base.'"',
                    '"facts":'.$facts->since($known['facts']),
                    '"answers":'.$answers->since($known['answers']),
                ]),
        ];

        return JsonResponse::fromJsonString('{'.implode(',', $members).'}', $status);
    }

    /** @return ?array{facts: Marks, answers: Marks} what the browser that asks holds; null where that is not known here */
    public static function known(Request $request, string $job): ?array
    {
        return Known::byTag($job, $request->headers->get(self::HEADER));
    }

    /**
     * To a browser that knows the rest only the members that its screen shows are worked out and sent.
     *
     * @param  ?array{facts: Marks, answers: Marks}  $known  what the browser holds
     * @param  array<string, mixed>  $understood  what the lengths that are being typed were read as, by field
     * @param  ?list<string>  $shows  null for all
     */
    public static function preview(
        Request $request,
        ?array $known,
        JobAnswers $answers,
        array $understood,
        ?array $shows,
    ): JsonResponse {
        $base = $request->headers->get(self::HEADER);
        $pieces = Pieces::of($answers, $shows);
        $members = [
            '"understood":'.json_encode((object) $understood, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            ...($known === null
                ? ['"answers":'.$pieces->json()]
                : ['"base":"'.$base.'"', '"answers":'.$pieces->since($known['answers'])]),
        ];

        return JsonResponse::fromJsonString('{'.implode(',', $members).'}');
    }
}
