<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Closure;

/** What a group yields, worked out once and kept: encoded red, green, blue and alpha in one number a pixel, up to three stops above white. */
final readonly class HeldPlane implements Plane
{
    use KeyOfAll;

    /** White, of 65535: what is brighter than eight times that is cut off. */
    private const WHITE = 8191.0;

    private const FULL = 65535.0;

    /**
     * @param  string  $name  all that it depends on besides the window
     * @param  Closure(Window): array{list<float>, list<float>, list<float>, list<float>}  $colours  encoded, and alpha
     */
    public function __construct(public string $name, private Closure $colours, private Window $window)
    {
    }

    /** @return list<int> */
    public function fill(Planes $planes): array
    {
        [$red, $green, $blue, $alpha] = ($this->colours)($this->window);
        $packed = [];
        foreach ($alpha as $at => $there) {
            $packed[] = self::part($red[$at], self::WHITE) << 48 | self::part($green[$at], self::WHITE) << 32 | self::part($blue[$at], self::WHITE) << 16 | self::part($there, self::FULL);
        }

        return $packed;
    }

    /**
     * Writes what it holds at the current pixel into lines of the row.
     *
     * @param  array<string, string>  $lines  by channel: r, g, b, and a where that is wanted
     */
    public function write(KernelWriter $kernel, array $lines): void
    {
        $held = $kernel->plane($this);
        foreach (['r' => [48, self::WHITE], 'g' => [32, self::WHITE], 'b' => [16, self::WHITE], 'a' => [0, self::FULL]] as $channel => [$shift, $full]) {
            if (isset($lines[$channel])) {
                $kernel->line(sprintf('%s = (%s[$i] >> %d & 65535) * %.17e;', $kernel->stored($lines[$channel]), $held, $shift, 1 / $full));
            }
        }
    }

    private static function part(float $value, float $full): int
    {
        return (int) (max(0.0, min(self::FULL, $value * $full)) + 0.5);
    }
}
