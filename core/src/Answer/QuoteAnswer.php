<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Quote\JobQuote;
use Oldpart\Core\Making\Quote;
use Oldpart\Core\Picture\Bar;
use Oldpart\Core\Picture\BarsPicture;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Tone;

/** What it would cost, and whether to take it, as it is shown. */
final readonly class QuoteAnswer implements \JsonSerializable
{
    public function __construct(public JobQuote $of)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $money = fn (?float $amount): string => $amount === null
            ? 'weight?'
            : Quote::money($amount, $this->of->facts->shop->currency);

        return [
            'hours_from' => $this->of->quote->hours->min,
            'hours_to' => $this->of->quote->hours->max,
            'price_from' => $money($this->of->quote->price->min),
            'price_to' => $money($this->of->quote->price->max),
            'labour' => $money($this->of->quote->labour),
            'bought_in' => $money($this->of->quote->costs),
            'factor' => $this->of->quote->factor,
            'to_buy' => $this->of->toBuy,
            'risks' => $this->of->risks,
            'amounts' => (object) array_map($money, $this->of->amounts),
            'advised' => $this->of->advised->verdict->value,
            'verdict' => $this->of->verdict()->value,
            'verdict_says' => $this->of->verdict()->label(),
            'reasons' => [...$this->of->advised->reasons, ...$this->of->missing() === '' ? [] : [$this->of->missing()]],
            'times' => new WorkTimes($this->of->facts),
            'letter' => $this->of->letter(),
            'working' => $this->of->quote->working->and(...$this->of->stock()),
            'picture' => $this->picture(),
        ];
    }

    /** What the price is made of, one on the other. */
    private function picture(): ?Drawing
    {
        $quote = $this->of->quote;
        if ($quote->price->max <= 0.0) {
            return null;
        }
        $money = fn (float $amount): string => Quote::money($amount, $this->of->facts->shop->currency);
        $bars = [new Bar('Our work', $quote->labour, $money($quote->labour))];
        if ($quote->costs > 0.0) {
            $bars[] = new Bar('Bought in', $quote->price->min, $money($quote->costs), $quote->labour);
        }
        if ($quote->price->width() > 0.0) {
            $bars[] = new Bar(
                'What may come on top',
                $quote->price->max,
                $money($quote->price->width()),
                $quote->price->min,
                Tone::Overlap,
            );
        }
        $range = $money($quote->price->min).' … '.$money($quote->price->max);
        $bars[] = new Bar("The price: {$range}", $quote->price->max, '', $quote->price->min, Tone::Make);

        return BarsPicture::draw($bars, Say::plain('What the price is made of, one on the other.'));
    }
}
