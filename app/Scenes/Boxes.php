<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Models\Picture;
use App\Models\Scene;
use Aumbrel\Core\Geometry\Bounds;

/** Finds where on the pictures of cut-out plates something is. */
interface Boxes
{
    /**
     * @param  FlatScene  $flat  the scene as it is written
     * @param  array<string, Picture>  $pictures  by name in the scene
     * @param  bool  $waits  whether what is not known yet is found out now; otherwise what was found last stands in
     * @return array<array-key, Bounds|null> by strip; null where nothing is left of one
     */
    public function of(Scene $scene, FlatScene $flat, array $pictures, bool $waits): array;
}
