<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Codecs\PassName;
use App\Codecs\UnreadablePicture;
use App\Models\Picture;
use App\Models\Scene;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Reading\Readings;
use Aumbrel\Core\Scene\Strip;

/** A picture that is dropped on the view becomes a plate on top, no larger than four fifths of the scene; one that is called a pass and has the proportions of the plate beneath it becomes that pass of it. */
final readonly class NewPlate
{
    private const LARGEST_SHARE = 0.8;

    public function __construct(private SceneStore $store, private BringPicture $bring, private BringPasses $passes)
    {
    }

    /**
     * @return array{Scene, string|null} the scene, and what is worth saying
     *
     * @throws UnreadablePicture
     */
    public function of(Scene $scene, IncomingPicture $file, float $x, float $y): array
    {
        [$name, $picture] = $this->bring->to($scene, $file);
        $pass = PassName::of(pathinfo($file->name, PATHINFO_FILENAME));
        $under = $pass === null ? null : $this->plateLike($scene, new Point($x, $y), $picture);
        if ($pass !== null && $under !== null) {
            return [$this->store->edit($scene->id, ucfirst($pass)." of {$under->name}", static fn (FlatScene $flat): FlatScene => $flat->withValues($under->id, [$pass => $name])), "{$file->name} became the {$pass} of {$under->name}."];
        }
        $brought = $this->passes->of($picture, $file, fn (IncomingPicture $pass): string => $this->bring->to($scene, $pass)[0]);
        $fits = min(1, self::LARGEST_SHARE * $scene->width / $picture->width, self::LARGEST_SHARE * $scene->height / $picture->height);
        $pivot = [$picture->width / 2, $picture->height / 2];

        return [$this->store->edit($scene->id, 'Add plate', static fn (FlatScene $flat): FlatScene => $flat->inserted([
            'id' => FlatScene::newId(), 'kind' => 'plate', 'name' => $flat->freeName($file->title()),
            // at full size the picture's own pixels fall on the scene's
            'values' => ['picture' => $name, 'place' => $fits < 1 ? [$x, $y] : [round($x - $pivot[0]) + $pivot[0], round($y - $pivot[1]) + $pivot[1]], 'pivot' => $pivot, 'scale' => max(0.005, $fits), ...$brought],
        ], null)), null];
    }

    /** The foremost plate at a place whose picture has the proportions of another one. */
    private function plateLike(Scene $scene, Point $at, Picture $picture): ?Strip
    {
        $known = $this->store->known($scene);
        $found = null;
        foreach ($this->store->document($scene)->everyStrip() as $strip) {
            $kind = $strip->kind;
            $size = $kind instanceof Pictured && ! $strip->muted ? $known->size($kind->picture()) : null;
            if (! $kind instanceof Pictured || $size === null || abs($size[0] / $size[1] / ($picture->width / $picture->height) - 1) > Readings::OTHER_PROPORTION) {
                continue;
            }
            $inside = $kind->placement(...$size)->toPicture($at);
            $found = $inside->x >= 0 && $inside->y >= 0 && $inside->x <= $size[0] && $inside->y <= $size[1] ? $strip : $found;
        }

        return $found;
    }
}
