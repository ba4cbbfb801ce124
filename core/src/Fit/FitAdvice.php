<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

/**
 * From answers in plain words to a purpose, with why, and what speaks against it. Source: common practice, no source.
 */
final readonly class FitAdvice
{
    /**
     * @param  ?Purpose  $purpose  null until the first question is answered
     * @param  ?Purpose  $second  the next best, where it is a near thing
     * @param  list<string>  $why
     * @param  list<string>  $against
     * @param  list<array{question: FitQuestion, answer: ?string, known: bool}>  $questions  those that matter now; known: the job already says it
     */
    private function __construct(
        public ?Purpose $purpose,
        public ?Purpose $second,
        public array $why,
        public array $against,
        public array $questions,
    ) {
    }

    /**
     * @param  array<string, string>  $asked  answers by the question's code; skipped ones are left out
     * @param  array<string, string>  $known  what the job says of itself, such as a brittle housing; an answer overrules it
     */
    public static function from(array $asked, array $known = []): self
    {
        $answers = [...$known, ...$asked];
        $questions = [];
        foreach (FitQuestion::all() as $question) {
            if ($question->matters($answers)) {
                $questions[] = [
                    'question' => $question,
                    'answer' => $answers[$question->code] ?? null,
                    'known' => ! isset($asked[$question->code]) && isset($known[$question->code]),
                ];
            }
        }
        [$code, $second, $why] = match ($answers['moves'] ?? null) {
            'turns' => self::turning($answers),
            'slides' => ['slides-no-shake', 'running-journal', ['It slides or pivots, and play would be felt.']],
            'stays' => self::staying($answers),
            default => [null, null, []],
        };
        $purpose = $code === null ? null : Purpose::named($code);

        return new self(
            $purpose,
            $second === null ? null : Purpose::named($second),
            $why,
            $purpose->against ?? [],
            $questions,
        );
    }

    /**
     * @param  array<string, string>  $answers
     * @return array{string, ?string, list<string>}
     */
    private static function turning(array $answers): array
    {
        return match ($answers['warm'] ?? 'usual') {
            'hot' => [
                'free-running',
                'running-journal',
                ['It turns warm or fast: a close fit would run dry and seize.'],
            ],
            'dirty' => [
                'loose-running',
                'free-running',
                ['Dirt, heat or a bent shaft take up room that must be there.'],
            ],
            default => ['running-journal', null, ['It turns in oil at a usual speed.']],
        };
    }

    /**
     * @param  array<string, string>  $answers
     * @return array{string, ?string, list<string>}
     */
    private static function staying(array $answers): array
    {
        if (($answers['apart'] ?? null) === 'hand') {
            return ['hand-fit', 'tap-in', ['It stays put and comes apart by hand.']];
        }
        if (($answers['apart'] ?? null) === 'mallet') {
            return ['tap-in', 'tap-tight', ['It stays put and comes apart with a mallet or a puller.']];
        }

        return self::forGood($answers);
    }

    /**
     * @param  array<string, string>  $answers
     * @return array{string, ?string, list<string>}
     */
    private static function forGood(array $answers): array
    {
        $thin = ($answers['wall'] ?? null) === 'thin';
        $brittle = ($answers['metal'] ?? null) === 'brittle';
        $why = [];
        [$wish, $second, $why[]] = match (true) {
            ($answers['held'] ?? null) === 'bond' => [
                'bonded',
                'light-press',
                'A compound holds it: it slips on with room for the film.',
            ],
            ($answers['held'] ?? null) === 'key' => [
                'light-press',
                'tap-tight',
                'The fit only has to place it: a key, a pin or screws drive it.',
            ],
            ($answers['held'] ?? null) === 'nothing' => [
                'light-press',
                'bonded',
                'Nothing pulls at it: a light press keeps it from creeping.',
            ],
            ($answers['carries'] ?? 'some') === 'little' => [
                'light-press',
                'bonded',
                'The fit alone holds it, against little.',
            ],
            ($answers['carries'] ?? 'some') === 'heavy' => [
                'heavy-press',
                'medium-press',
                'The fit alone holds it, against all it can take.',
            ],
            default => [
                'medium-press',
                'light-press',
                isset($answers['held']) ? 'The fit alone holds it.' : 'As far as is said, the fit alone holds it.',
            ],
        };
        if ($wish === 'bonded' || (! $thin && ! $brittle)) {
            return [$wish, $second, $why];
        }
        if ($thin && $brittle) {
            $why[] =
                'The part around it is thin and brittle: a press of any weight may crack it, a bond does not load it.';
            if (($answers['carries'] ?? null) === 'heavy') {
                $why[] = 'What it has to carry is more than a bond should be asked for: pin or key it too.';
            }

            return ['bonded', 'light-press', $why];
        }
        $lighter = ['heavy-press' => 'medium-press', 'medium-press' => 'light-press'][$wish] ?? 'light-press';
        $why[] =
            ($brittle ? 'The part around it is brittle' : 'The wall around it is thin').
            ($lighter === $wish ? ': no more than a light press.' : ': one step lighter than otherwise.');

        return [$lighter, 'bonded', $why];
    }
}
