<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

/** What one learns by practising. */
enum Skill: string
{
    case Measuring = 'measuring';
    case Fit = 'fit';
    case Cutting = 'cutting';
    case Order = 'order';
    case Judgement = 'judgement';

    public function label(): string
    {
        return match ($this) {
            self::Measuring => 'Measuring',
            self::Fit => 'Choosing the fit',
            self::Cutting => 'Cutting',
            self::Order => 'Order of work',
            self::Judgement => 'Judgement',
        };
    }
}
