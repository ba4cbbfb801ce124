<?php

declare(strict_types=1);

namespace Oldpart\Core\Advice;

enum Severity: string
{
    case Info = 'info';
    case Caution = 'caution';
    case Stop = 'stop';

    public function weight(): int
    {
        return match ($this) {
            self::Info => 0,
            self::Caution => 1,
            self::Stop => 2,
        };
    }
}
