<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;

/** Can this reading decide this fit? The ratio of the allowed width to twice the uncertainty. */
final readonly class GoodEnough implements \JsonSerializable
{
    /** @param  'good'|'usable'|'not-good-enough'  $verdict */
    private function __construct(public float $ratio, public string $verdict, public Say $say, public Say $why)
    {
    }

    /**
     * @param  float  $widthMm  width of the allowed size band
     * @param  float  $u95Mm  U95 of the reading, above 0
     * @param  list<Instrument>  $others  what the shop has for this surface
     * @param  float  $sizeMm  about what is read, 0 or more
     *
     * 4 or more: good. 2 to 4: usable with the risk said. Under 2: can't decide. Source: common metrology practice.
     */
    public static function judge(float $widthMm, float $u95Mm, array $others = [], float $sizeMm = 0.0): self
    {
        $ratio = $u95Mm > 0 ? $widthMm / (2 * $u95Mm) : 99.0;
        $width = LengthWriter::difference($widthMm);
        $u = LengthWriter::atLeast($u95Mm);
        if ($ratio >= 4) {
            return new self(
                $ratio,
                'good',
                Say::plain('Yes'),
                Say::with('The fit allows {w}; this reading is sure to ±{u}.', ['w' => $width, 'u' => $u]),
            );
        }
        if ($ratio >= 2) {
            return new self(
                $ratio,
                'usable',
                Say::plain('Usable'),
                Say::with(
                    'The fit allows {w}; ±{u} of it goes to doubt. A size near a limit may be on either side of it.',
                    ['w' => $width, 'u' => $u],
                ),
            );
        }
        $able = array_filter(
            $others,
            static fn (Instrument $i): bool => $widthMm / (2 * $i->bestU95Mm($sizeMm)) >= 2,
        );
        $names = implode(', or the ', array_map(static fn (Instrument $i): string => lcfirst($i->name), $able));
        $way =
            $names !== ''
                ? "Read it again with the {$names}."
                : 'Compare against a master or the mate itself, or choose a wider fit.';

        return new self(
            $ratio,
            'not-good-enough',
            Say::plain('No'),
            Say::with('The fit allows {w}, the reading is only sure to ±{u}. '.$way, ['w' => $width, 'u' => $u]),
        );
    }

    /** Such as "4.2 to 1"; rounded down, 3.96 is not yet 4. */
    public function short(): string
    {
        return number_format(floor(min($this->ratio, 99) * 10) / 10, $this->ratio < 10 ? 1 : 0).' to 1';
    }

    /** @return array{ratio: float, verdict: string, say: Say, why: Say} */
    public function jsonSerialize(): array
    {
        return [
            'ratio' => $this->ratio,
            'verdict' => $this->verdict,
            'say' => Say::plain("{$this->say->in}, {$this->short()}"),
            'why' => $this->why,
        ];
    }
}
