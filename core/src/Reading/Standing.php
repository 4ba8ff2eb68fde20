<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;

/** What one strip finds around it while the scene is read. */
final readonly class Standing implements Surroundings
{
    public function __construct(private Strip $strip, private Scene $scene, private Pictures $pictures)
    {
    }

    public function mode(): BlendMode
    {
        return $this->strip->mode;
    }

    public function level(): float
    {
        return $this->strip->level;
    }

    public function amount(): float
    {
        return $this->strip->amount;
    }

    public function white(): float
    {
        return $this->scene->white;
    }

    public function plate(string $id): ?Pictured
    {
        return $this->scene->plate($id);
    }

    public function hasOutline(string $id): bool
    {
        $strip = $this->scene->find($id);

        return $strip !== null && $strip->kind instanceof Pictured && ($strip->cutOut() !== [] || ! $this->pictures->isOpaque($strip->kind->picture()));
    }
}
