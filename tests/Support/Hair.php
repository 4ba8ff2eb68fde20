<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * A head with hair before a background, composed with an alpha that is known: a face whose lit cheek reaches the contour
 * on one side, dense hair on the other, and single hairs that stand off across the contour.
 */
final class Hair
{
    public const COLUMNS = 420;

    public const ROWS = 360;

    public const X = 210.0;

    public const Y = 190.0;

    public const RADIUS = 105.0;

    /** Hairs end within so many pixels of the contour, outside and inside. */
    public const REACH = 22.0;

    /** @var list<float> */
    public array $alpha;

    /** @var array<int, array{float, float, float}> the picture, 0..255 */
    private array $seen = [];

    /** @param  'dark on leaves'|'fair before the evening'|'red before two walls'  $which */
    public function __construct(string $which)
    {
        mt_srand(crc32($which));
        $this->alpha = array_fill(0, self::COLUMNS * self::ROWS, 0.0);
        $colours = array_fill(0, self::COLUMNS * self::ROWS, [0.0, 0.0, 0.0]);
        [$hair, $skin] = match ($which) {
            'dark on leaves' => [[48, 36, 30], [222, 178, 150]],
            'fair before the evening' => [[206, 176, 120], [236, 200, 176]],
            default => [[150, 74, 40], [232, 190, 168]],
        };
        $this->head($colours, $hair, $skin);
        for ($n = 0; $n < 520; $n++) {
            // none across the cheek, on the right side
            $turn = 0.22 * M_PI + self::random() * 1.56 * M_PI;
            $shade = 0.75 + 0.6 * self::random();
            $this->strand($colours, $turn, array_map(static fn (int $value): float => min(250.0, $value * $shade), $hair));
        }
        foreach ($this->alpha as $at => $alpha) {
            $ground = self::background($which, $at % self::COLUMNS, intdiv($at, self::COLUMNS));
            $grain = 5 * (self::random() + self::random() + self::random() - 1.5);
            $mixed = [];
            foreach ($colours[$at] as $k => $value) {
                $mixed[] = max(0.0, min(255.0, round($alpha * $value + (1 - $alpha) * $ground[$k] + $grain)));
            }
            $this->seen[] = $mixed;
        }
    }

    public function picture(): Flat
    {
        return new Flat(self::COLUMNS, self::ROWS, fn (int $x, int $y): array => array_map(intval(...), $this->seen[$y * self::COLUMNS + $x]));
    }

    /** @return array<string, mixed> an outline through the middle of the hairs, as somebody would draw it roughly */
    public static function outline(): array
    {
        return ['id' => 'm', 'kind' => 'outline', 'on' => 'plate', 'values' => ['path' => array_map(
            static fn (int $k): array => ['at' => [self::X + self::RADIUS * cos($k * M_PI / 36), self::Y - self::RADIUS * sin($k * M_PI / 36)]], range(0, 71),
        )]];
    }

    private static function random(): float
    {
        return mt_rand() / mt_getrandmax();
    }

    /**
     * @param  array<int, array{float, float, float}>  $colours
     * @param  array{int, int, int}  $hair
     * @param  array{int, int, int}  $skin
     */
    private function head(array &$colours, array $hair, array $skin): void
    {
        for ($y = 0; $y < self::ROWS; $y++) {
            for ($x = 0; $x < self::COLUMNS; $x++) {
                $at = $y * self::COLUMNS + $x;
                [$dx, $dy] = [$x + 0.5 - self::X, self::Y - $y - 0.5];
                $far = hypot($dx, $dy);
                $turn = atan2($dy, $dx);
                // the cheek reaches the contour; elsewhere the solid head ends where the hairs begin
                $isCheek = abs($turn) < 0.2 * M_PI;
                $edge = $isCheek ? self::RADIUS : self::RADIUS - self::REACH;
                $this->alpha[$at] = max(0.0, min(1.0, $edge - $far + 0.5));
                $isFace = $dx > 10 && abs($turn) < 0.3 * M_PI;
                $light = $isFace ? 0.62 + 0.42 * max(0.0, $dx / self::RADIUS) : 0.8 + 0.25 * sin($turn * 70 + $far / 9) + 0.1 * sin($far);
                $colours[$at] = array_map(static fn (int $value): float => min(252.0, $value * $light), $isFace ? $skin : $hair);
            }
        }
    }

    /**
     * @param  array<int, array{float, float, float}>  $colours
     * @param  array<float>  $colour
     */
    private function strand(array &$colours, float $turn, array $colour): void
    {
        $from = self::RADIUS - self::REACH - 3;
        $long = 3 + self::REACH + self::REACH * (0.15 + 0.85 * self::random());
        $lean = (self::random() - 0.5) * 0.35;
        $bend = (self::random() - 0.5) * 0.25;
        $wide = 0.8 + 1.4 * self::random();
        for ($s = 0.0; $s <= $long; $s += 0.35) {
            $share = $s / $long;
            $around = $turn + $lean * $share + $bend * $share * $share;
            [$x, $y] = [self::X + ($from + $s) * cos($around), self::Y - ($from + $s) * sin($around)];
            $half = 0.5 * $wide * (1 - 0.75 * $share);
            for ($row = (int) floor($y - 2); $row <= (int) floor($y + 2); $row++) {
                for ($column = (int) floor($x - 2); $column <= (int) floor($x + 2); $column++) {
                    $at = $row * self::COLUMNS + $column;
                    $cover = max(0.0, min(1.0, $half - hypot($column + 0.5 - $x, $row + 0.5 - $y) + 0.5)) * min(1.0, 2 * $half);
                    if ($cover > $this->alpha[$at] || ($cover > 0.5 && $this->alpha[$at] < 1)) {
                        $this->alpha[$at] = max($this->alpha[$at], $cover);
                        $colours[$at] = $colour;
                    } elseif ($this->alpha[$at] <= 0.0) {
                        $colours[$at] = $colour;
                    }
                }
            }
        }
    }

    /** @return array{float, float, float} */
    private static function background(string $which, int $x, int $y): array
    {
        [$u, $v] = [$x / self::COLUMNS, $y / self::ROWS];
        $blotch = sin(19 * $u + 3 * sin(11 * $v)) * sin(15 * $v + 2 * sin(9 * $u));

        return match ($which) {
            'dark on leaves' => [126 + 40 * $blotch, 158 + 44 * $blotch, 86 + 22 * $blotch],
            'fair before the evening' => [52 + 60 * $v + 8 * $blotch, 64 + 34 * $v + 8 * $blotch, 104 - 20 * $v + 10 * $blotch],
            default => $u + 0.15 * $v < 0.52 ? [196 + 12 * $blotch, 204 + 10 * $blotch, 210.0] : [66 + 10 * $blotch, 84 + 8 * $blotch, 98.0],
        };
    }
}
