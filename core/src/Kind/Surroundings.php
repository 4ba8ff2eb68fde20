<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kernel\Asked;
use Aumbrel\Core\Stage\Stage;

/** What a strip can know of itself on the desk and of the other strips without anything being rendered. */
interface Surroundings extends Asked
{
    /** The strip's own id. */
    public function id(): string;

    public function mode(): BlendMode;

    /** Stops, for lights; 0 otherwise. */
    public function level(): float;

    /** 0..1, for everything but lights; 1 for those. */
    public function amount(): float;

    /** The plate that it is confined to; null for the whole picture. */
    public function confinedTo(): ?string;

    /** Kelvin of the light that the scene shows as white. */
    public function white(): float;

    /** Floor, walls and camera of the scene. */
    public function stage(): Stage;

    /** A plate of the scene; null when there is none of that id. */
    public function plate(string $id): ?Pictured;

    /** Whether there is a picture of that name. */
    public function hasPicture(string $name): bool;

    /** Whether masks say what of it shines. */
    public function hasEmitter(): bool;

    /** Whether a plate is cut out, by masks or by its picture's own transparency: a plate's border is no outline. */
    public function hasOutline(string $id): bool;
}
