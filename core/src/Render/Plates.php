<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\CutOut\CutPlane;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Plate\PictureShelf;
use Aumbrel\Core\Plate\Plate;
use Aumbrel\Core\Plate\PlatePlane;
use Aumbrel\Core\Plate\SeenPlate;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use LogicException;

/** The plates of a scene as one window sees them, and the words in which kernels read them. */
final class Plates
{
    /** @var array<string, SeenPlate> by strip */
    private array $planes = [];

    public function __construct(private readonly Scene $scene, private readonly Window $window, private readonly PictureShelf $shelf)
    {
    }

    public function of(Strip $strip): SeenPlate
    {
        if (! $strip->kind instanceof Plate) {
            throw new LogicException("{$strip->id} is no plate");
        }

        return $this->planes[$strip->id] ??= self::seen($strip, $strip->kind, $this->window, $this->shelf);
    }

    /** A plate in a window, cut out as its masks and its edge say. */
    public static function seen(Strip $strip, Plate $plate, Window $window, PictureShelf $shelf): SeenPlate
    {
        $picture = $shelf->picture($plate->picture);
        $placement = $plate->placement($picture->width(), $picture->height());
        $masks = $strip->cutOut();

        return $masks === [] && ($plate->edge->isNone() || ($picture->opaque() && $plate->edge->soften <= 0))
            ? new PlatePlane($picture, $placement, $window)
            : new CutPlane($picture, $placement, $window, $masks, $plate->edge);
    }

    public function named(string $id): SeenPlate
    {
        return $this->of($this->scene->find($id) ?? throw new LogicException("no strip {$id}"));
    }

    /** An expression of a plate's alpha at the current pixel. */
    public function alpha(KernelWriter $kernel, SeenPlate $plane): string
    {
        if ($plane->opaque()) {
            return '1.0';
        }
        $pixels = $kernel->plane($plane);

        return $plane->bits() === 16
            ? sprintf('(%s[$i] >> 48 & 65535) * %.17e', $pixels, 1 / 65535)
            : sprintf('(%s[$i] >> 24 & 255) * %.17e', $pixels, 1 / 255);
    }

    /** @return array{string, string, string} expressions of a plate's encoded colour at the current pixel */
    public function colour(KernelWriter $kernel, SeenPlate $plane): array
    {
        $pixels = $kernel->plane($plane);
        [$wide, $narrow, $mask] = $plane->bits() === 16 ? [32, 16, 65535] : [16, 8, 255];
        $unit = sprintf('%.17e', 1 / $mask);

        return [
            "({$pixels}[\$i] >> {$wide} & {$mask}) * {$unit}",
            "({$pixels}[\$i] >> {$narrow} & {$mask}) * {$unit}",
            "({$pixels}[\$i] & {$mask}) * {$unit}",
        ];
    }

    /**
     * A plate's colour at its base exposure, at the current pixel.
     *
     * @return array{string, string, string}
     */
    public function toned(KernelWriter $kernel, Strip $strip): array
    {
        $colour = $this->colour($kernel, $this->of($strip));
        if (! $strip->kind instanceof Plate || $strip->kind->tone->isNone()) {
            return $colour;
        }
        $toned = array_map($kernel->variable(...), ['red', 'green', 'blue']);
        foreach ($toned as $at => $channel) {
            $kernel->line("{$channel} = {$colour[$at]};");
        }
        $strip->kind->tone->write($kernel, $toned);

        return $toned;
    }

    /**
     * The same for the loops that mix a channel each: a base exposure needs the three at once, so it is worked out before.
     *
     * @return array{string, string, string}
     */
    public function tonedLines(KernelWriter $kernel, Strip $strip): array
    {
        if (! $strip->kind instanceof Plate || $strip->kind->tone->isNone()) {
            return $this->colour($kernel, $this->of($strip));
        }
        $kernel->innerLoop();

        return self::stored($kernel, $this->toned($kernel, $strip));
    }

    /**
     * Keeps a colour in lines of the row.
     *
     * @param  array{string, string, string}  $colour
     * @return array{string, string, string} the lines
     */
    public static function stored(KernelWriter $kernel, array $colour): array
    {
        $lines = ['toned0', 'toned1', 'toned2'];
        foreach ($lines as $at => $line) {
            $kernel->line("{$kernel->stored($line)} = {$colour[$at]};");
        }

        return array_map($kernel->stored(...), $lines);
    }
}
