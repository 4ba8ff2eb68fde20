<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\CutOut\PlateOutline;
use Aumbrel\Core\Picture\PictureSource;

/** The form of a plate, with all that it depends on: its outline, what bends it, and where its own light comes from. */
final readonly class PlateBody
{
    /**
     * @param  PictureSource  $picture  the plate's own
     * @param  PlateOutline|null  $outline  null for a plate that nothing cuts out: it faces the viewer
     * @param  Form  $form  how round it is, and its detail
     * @param  PictureSource|null  $normals  the picture of its normals, which takes precedence
     * @param  DepthForm|null  $depth  the picture of its depth, where that forms it and there are no normals
     * @param  Bearing|null  $light  where its light comes from, in its own picture; null when that is not known
     */
    public function __construct(public PictureSource $picture, public ?PlateOutline $outline, public Form $form, public ?PictureSource $normals = null, public ?Bearing $light = null, public ?DepthForm $depth = null)
    {
    }

    /** The light that it brings along; null when it is not known where that comes from, or nothing tells its form. */
    public function ownLight(): ?OwnLightPlane
    {
        return $this->light === null || ($this->outline === null && ! $this->isGiven()) ? null : new OwnLightPlane($this, $this->light);
    }

    /** Its own light where that bends it: a guess from the outline only, for normals that are known are right. */
    public function bending(): ?OwnLightPlane
    {
        return $this->form->bends && ! $this->isGiven() ? $this->ownLight() : null;
    }

    /** Whether pictures tell which way it faces, and not only its outline. */
    public function isGiven(): bool
    {
        return $this->normals !== null || $this->depth !== null;
    }

    /** As its outline, its normals or its depth alone say. */
    public function plain(): self
    {
        return new self($this->picture, $this->outline, new Form($this->form->roundness, normals: $this->form->normals, upward: $this->form->upward, deep: $this->form->deep), $this->normals, depth: $this->depth);
    }

    public function key(): string
    {
        return "body {$this->picture->key()} {$this->form->key()} {$this->normals?->key()} {$this->depth?->key()} of {$this->outline?->key()} {$this->bending()?->key()}";
    }
}
