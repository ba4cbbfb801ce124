<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Evaluate\Shapes\JudgedPart;

/** A part at survey as it is shown: what it is made of, what it weighs, and its drawings. */
final readonly class PartAnswer implements \JsonSerializable
{
    public function __construct(private JudgedPart $of, private JobPictures $pictures)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $drawn = $this->pictures->part($this->of->part->id);
        $body = $this->of->body;
        $vote = $this->of->vote();

        return [
            'id' => $this->of->part->id,
            'hardness' => $this->of->hardness,
            'likely' => $this->of->likely,
            'notes' => $this->of->notes,
            'mass_kg' => $body['mass_kg'] ?? null,
            'area_cm2' => $body === null ? null : $body['area_mm2'] / 100,
            'centre_mm' => $body === null ? null : $body['centre_mm'],
            'vote' => $vote === null
                    ? null
                    : [
                        'inch_probability' => $vote->inchProbability,
                        'against' => $vote->against,
                        'notes' => $vote->notes,
                        'working' => $vote->working,
                    ],
            'section' => $drawn['section'],
            'face' => $drawn['face'],
            'working' => $body === null
                    ? []
                    : [
                        new WorkingStep(
                            'Volume',
                            'Σ π h (R² + R r + r²) / 3, outside less inside, less holes and keyways',
                            number_format($body['volume_mm3'] / 1000, 1).' cm³',
                            'frustum of a cone',
                        ),
                        ...$body['mass_kg'] === null
                            ? []
                            : [
                                new WorkingStep(
                                    'Mass',
                                    'volume × density',
                                    number_format($body['mass_kg'], 2).' kg',
                                    'density from the material table',
                                ),
                            ],
                        new WorkingStep(
                            'Centre of mass',
                            'Σ ∫ x dV ÷ V, from the left face',
                            number_format($body['centre_mm'], 1).' mm',
                            'statics',
                        ),
                    ],
        ];
    }
}
