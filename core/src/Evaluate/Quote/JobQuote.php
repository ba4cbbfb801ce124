<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Quote;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Gatekeeper;
use Oldpart\Core\Evaluate\Shapes\JobSurvey;
use Oldpart\Core\Evaluate\Shapes\JudgedPart;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\CostFacts;
use Oldpart\Core\Facts\Form;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\OperationFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Making\Quote;
use Oldpart\Core\Making\QuoteVerdict;
use Oldpart\Core\Making\Risk;
use Oldpart\Core\Making\Verdict;
use Oldpart\Core\Quantity\LengthWriter;

/** What the job will take and cost, whether to take it, and what to write to the customer. */
final readonly class JobQuote
{
    /** A blank that is not cut from bar weighs about so much more than what is made from it. Common practice. */
    private const BLANK = 1.5;

    /**
     * Bar is so much larger than the finished outside, and a piece of it so much longer: facing both ends, parting and
     * what the jaws hold of it, mm. Common practice.
     */
    private const BAR_OVER_MM = 3.0;

    private const BAR_LONGER_MM = 12.0;

    /** @param  list<Risk>  $risks */
    private function __construct(
        public JobFacts $facts,
        public Quote $quote,
        public array $risks,
        public Verdict $advised,
        /**
         * @var array<string, ?float> by cost id; what each comes to, once or per piece; null where a weight is missing
         */
        public array $amounts,
        private JobSurvey $survey,
        /** @var list<array{code: string, says: Say}> what the drawer lacks */
        public array $toBuy = [],
    ) {
    }

    /**
     * @param  list<SizedJoint>  $joints
     * @param  list<array{code: string, says: Say}>  $toBuy  what the drawer lacks
     */
    public static function of(JobFacts $facts, JobSurvey $survey, array $joints, array $toBuy = []): self
    {
        $risks = self::risks($facts, $survey, $joints);
        $amounts = [];
        foreach ($facts->costs as $cost) {
            $amounts[$cost->id] = self::amount($cost, $survey);
        }
        $quantity = $facts->takeIn->quantity;
        $quote = Quote::of(
            operations: array_map(
                static fn (OperationFacts $o): array => ['setup_min' => $o->setupMin, 'run_min' => $o->runMin],
                $facts->operations,
            ),
            costs: array_map(
                static fn (CostFacts $c): array => [
                    'amount' => $amounts[$c->id] ?? 0.0,
                    'each' => $c->eachPiece || $c->pricePerKg !== null,
                ],
                $facts->costs,
            ),
            ratePerH: $facts->shop->ratePerH,
            quantity: $quantity,
            risks: $risks,
            currency: $facts->shop->currency,
        );
        $bought = $facts->quote->boughtPrice === null ? null : $facts->quote->boughtPrice * $quantity;

        return new self(
            facts: $facts,
            quote: $quote,
            risks: $risks,
            advised: Verdict::of(
                quote: $quote,
                risks: $risks,
                forLicensed: Gatekeeper::withholds($facts->takeIn),
                boughtPrice: $bought,
                alternative: $facts->quote->alternative,
                currency: $facts->shop->currency,
            ),
            amounts: $amounts,
            survey: $survey,
            toBuy: $toBuy,
        );
    }

    /** With a price per kg: the mass given, or that of the stock; null when neither is known. */
    private static function amount(CostFacts $cost, JobSurvey $survey): ?float
    {
        if ($cost->pricePerKg === null) {
            return $cost->amount ?? 0.0;
        }
        $mass = $cost->massKg;
        foreach ($mass === null ? $survey->parts : [] as $part) {
            if ($part->part->origin === Origin::Make) {
                $weighs = self::stockKg($part);
                if ($weighs === null) {
                    return null;
                }
                $mass = ($mass ?? 0.0) + $weighs;
            }
        }

        return $mass === null ? null : $cost->pricePerKg * $mass;
    }

    /**
     * What has to be bought for a part: of a turned one the solid bar it is cut from, bore and all; kg, null while its
     * size or metal is not known.
     */
    private static function stockKg(JudgedPart $part): ?float
    {
        $body = $part->body;
        if ($body === null || $body['mass_kg'] === null || $body['volume_mm3'] <= 0) {
            return null;
        }

        return $part->part->form === Form::Turned
            ? ((M_PI / 4) *
                    ($body['largest_mm'] + self::BAR_OVER_MM) ** 2 *
                    ($body['long_mm'] + self::BAR_LONGER_MM) *
                    $body['mass_kg']) /
                    $body['volume_mm3']
            : self::BLANK * $body['mass_kg'];
    }

    /** @return list<WorkingStep> what the material's price goes by */
    public function stock(): array
    {
        $steps = [];
        foreach ($this->survey->parts as $part) {
            $kg = $part->part->origin === Origin::Make ? self::stockKg($part) : null;
            if ($kg !== null && $part->body !== null && $part->part->form === Form::Turned) {
                [$across, $long] = [
                    $part->body['largest_mm'] + self::BAR_OVER_MM,
                    $part->body['long_mm'] + self::BAR_LONGER_MM,
                ];
                $steps[] = new WorkingStep(
                    "Bar for the {$part->part->name}",
                    'π/4 · (outside + 3 mm)² · (length + 12 mm) · density',
                    Say::with('{d} across, {l} long, '.number_format($kg, 2).' kg a piece', [
                        'd' => LengthWriter::about($across),
                        'l' => LengthWriter::about($long),
                    ]),
                    'solid bar; common practice',
                );
            }
        }

        return $steps;
    }

    /**
     * @param  list<SizedJoint>  $joints
     * @return list<Risk>
     */
    private static function risks(JobFacts $facts, JobSurvey $survey, array $joints): array
    {
        $materials = array_map(FoundSurfaces::material(...), $facts->parts);
        $casting = Kind::orNull($facts->kind)->casting ?? false;
        $casting = $casting || array_filter($materials, static fn (?Material $m): bool => $m->cast ?? false) !== [];
        $unknown =
            array_filter(
                $facts->parts,
                static fn (PartFacts $p): bool => $p->origin !== Origin::Bought
                    && (FoundSurfaces::material($p)->guessed ?? true),
            ) !== [];
        $holds = [
            'no-datum' => $survey->datums->none,
            'casting' => $casting,
            'unknown-material' => $unknown,
            'hardened' => array_filter(
                $survey->parts,
                static fn (JudgedPart $p): bool => $p->part->origin === Origin::Found && $p->isHard(),
            ) !== [],
            'tight' => array_filter(
                $joints,
                static fn (SizedJoint $j): bool => ($j->sized?->band?->widthMm() ?? INF) <
                    $facts->shop->latheHoldsMm,
            ) !== [],
            'first' => $facts->quote->firstOfItsKind,
            'safety' => $facts->takeIn->gates !== [],
        ];

        return array_map(Risk::named(...), array_keys(array_filter($holds)));
    }

    public function verdict(): QuoteVerdict
    {
        return $this->facts->quote->decided ?? $this->advised->verdict;
    }

    /** What is not in the price because its weight is not known yet; empty when all is. */
    public function missing(): string
    {
        $names = array_map(
            static fn (CostFacts $c): string => lcfirst($c->name),
            array_filter($this->facts->costs, fn (CostFacts $c): bool => $this->amounts[$c->id] === null),
        );

        return $names === [] ? '' : 'Not in the price yet, for want of a weight: '.implode(', ', $names).'.';
    }

    /** What to write to the customer. */
    public function letter(): string
    {
        $facts = $this->facts;
        $what = trim(($facts->machine === '' ? '' : "{$facts->machine}: ").$facts->part);
        $pieces = $facts->takeIn->quantity === 1 ? 'one piece' : "{$facts->takeIn->quantity} pieces";
        $price =
            Quote::money($this->quote->price->min, $facts->shop->currency).
            ' to '.
            Quote::money($this->quote->price->max, $facts->shop->currency);
        $overruled = $facts->quote->decided !== null && $facts->quote->decided !== $this->advised->verdict;
        $reasons = $overruled
            ? ($facts->quote->reason === ''
                ? []
                : [$facts->quote->reason])
            : [...$this->advised->reasons, ...$facts->quote->reason === '' ? [] : [$facts->quote->reason]];
        $because = implode("\n", array_map(static fn (string $r): string => "- {$r}", $reasons));
        $when = $facts->takeIn->wantedBy === null ? '' : " It is wanted by {$facts->takeIn->wantedBy}.";
        $lead =
            $facts->quote->boughtLeadDays === null
                ? ''
                : ', in about '.number_format($facts->quote->boughtLeadDays).' days';
        $bought =
            $facts->quote->boughtPrice === null
                ? ''
                : ' A bought one is offered at '.
                    Quote::money($facts->quote->boughtPrice, $facts->shop->currency).
                    $lead.
                    '.';
        $other = trim($facts->quote->alternative) === '' ? '' : " Instead we suggest: {$facts->quote->alternative}.";
        $hours =
            number_format($this->quote->hours->min, 1).' to '.number_format($this->quote->hours->max, 1).' hours';
        $body = match ($this->verdict()) {
            QuoteVerdict::Take => "We can make it, {$pieces}, for {$price} ({$hours}).{$when}",
            QuoteVerdict::AtThisPrice => "We can make it, {$pieces}, and expect {$price} ({$hours}): the range is wide for these reasons.{$when}\n\n{$because}",
            QuoteVerdict::Alternative => "We would rather not make it as it is.{$bought}{$other}\n\n{$because}",
            QuoteVerdict::Decline => "We decline to make this part.{$bought}{$other}\n\n{$because}",
        };
        $missing =
            $this->missing() === ''
            || ! in_array($this->verdict(), [QuoteVerdict::Take, QuoteVerdict::AtThisPrice], true)
                ? ''
                : "\n\n{$this->missing()}";
        $reference = $facts->takeIn->reference === '' ? '' : "Your reference: {$facts->takeIn->reference}\n";

        return "{$what}\n{$reference}\n{$body}{$missing}\n\nPrices are estimates from what is known today; they may change once the part is measured.\n\n{$facts->shop->name}\n";
    }
}
