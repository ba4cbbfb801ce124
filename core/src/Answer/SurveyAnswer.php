<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Evaluate\Shapes\JobSurvey;
use Oldpart\Core\Evaluate\Shapes\JudgedPart;

/** The survey as it is shown: datums, parts, and what to look out for. */
final readonly class SurveyAnswer implements \JsonSerializable
{
    public function __construct(private JobSurvey $of, private JobPictures $pictures)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'datums' => $this->of->datums,
            'parts' => array_map(
                fn (JudgedPart $p): PartAnswer => new PartAnswer($p, $this->pictures),
                $this->of->parts,
            ),
            'hints' => $this->of->hints,
            'minds' => $this->of->minds,
            'cause_says' => $this->of->causeSays,
            'offers' => $this->of->offers,
        ];
    }
}
