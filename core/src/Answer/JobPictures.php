<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Evaluate\Shapes\JobShapes;
use Oldpart\Core\Facts\Form;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Picture\AxisPart;
use Oldpart\Core\Picture\AxisPicture;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\FacePicture;

/** The parts of a job drawn together along their axis and each by itself. */
final readonly class JobPictures
{
    public function __construct(private JobShapes $of)
    {
    }

    /** All turned parts together; where the part to make is a plate, its face. */
    public function assembly(): ?Drawing
    {
        return $this->plate()?->draw() ?? AxisPicture::draw($this->axisParts(false));
    }

    public function thumb(): ?Drawing
    {
        return $this->plate()?->thumb() ?? AxisPicture::thumb($this->axisParts(false));
    }

    /** @return array{section: ?Drawing, face: ?Drawing} */
    public function part(string $partId): array
    {
        $shape = $this->of->shapes[$partId];

        return [
            'section' => AxisPicture::draw([$shape->onAxis(0.0, 0.0, true)], 'Half section'),
            'face' => $shape->face()?->draw(),
        ];
    }

    private function plate(): ?FacePicture
    {
        foreach ($this->of->shapes as $shape) {
            if ($shape->part->origin === Origin::Make && $shape->part->form === Form::Plate) {
                return $shape->face();
            }
        }

        return null;
    }

    /** @return list<AxisPart> */
    private function axisParts(bool $all): array
    {
        $places = $this->of->places();
        $parts = [];
        foreach ($this->of->shapes as $id => $shape) {
            $parts[] = $shape->onAxis($places[$id][0], $places[$id][1], $all);
        }

        return $parts;
    }
}
