<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

use Aumbrel\Core\CutOut\PlateOutline;
use Aumbrel\Core\Picture\PictureSource;

/** The form of a plate, with all that it depends on: its outline, and what bends it. */
final readonly class PlateBody
{
    /**
     * @param  PictureSource  $picture  the plate's own
     * @param  PlateOutline|null  $outline  null for a plate that nothing cuts out: it faces the viewer
     * @param  Form  $form  how round it is, and its detail
     * @param  PictureSource|null  $normals  the picture of its normals, which takes precedence
     */
    public function __construct(public PictureSource $picture, public ?PlateOutline $outline, public Form $form, public ?PictureSource $normals = null)
    {
    }

    public function key(): string
    {
        return "body {$this->picture->key()} {$this->form->key()} {$this->normals?->key()} of {$this->outline?->key()}";
    }
}
