<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Models\Picture;
use Closure;

/** What a file brings along besides its colours becomes pictures of the scene, named by the values of its plate. */
final readonly class BringPasses
{
    public function __construct(private PictureLibrary $library)
    {
    }

    /**
     * @param  Closure(IncomingPicture): string  $bring  takes one of them in and gives its name in the scene
     * @return array<string, mixed> values of the plate
     */
    public function of(Picture $picture, IncomingPicture $file, Closure $bring): array
    {
        $values = $this->light($picture);
        ['files' => $files, 'range' => $range] = $this->library->passes($picture);
        foreach ($files as $pass => $path) {
            $values[$pass] = $bring(new IncomingPicture($path, pathinfo($file->name, PATHINFO_FILENAME)."-{$pass}.png"));
        }
        if (isset($values['depth'])) {
            $values = [...$values, 'depthEnds' => 'black is near', 'depthNear' => 1.0, 'depthFar' => max(1.05, round($range, 3))];
        }

        return $values;
    }

    /** @return array{exposure?: float} what goes beyond white is stored darker, and shown as bright as it is */
    private function light(Picture $picture): array
    {
        $stops = $this->library->darkerBy($picture);

        return $stops > 0.0 ? ['exposure' => $stops] : [];
    }
}
