<?php

declare(strict_types=1);

namespace Tests\Support;

/** Subjects that hardly stand out from a mottled, noisy ground: the eye finds them by their edge, hardly by their colour. */
final class Faint
{
    public const COLUMNS = 1000;

    public const ROWS = 700;

    /** @var list<float> */
    public array $alpha = [];

    /** @var list<array{int, int, int}> */
    private array $seen = [];

    /** @param  'jar on plaster'|'jar on earth'|'leaf on sand'|'grey on grey'  $which */
    public function __construct(string $which)
    {
        mt_srand(crc32($which));
        for ($y = 0; $y < self::ROWS; $y++) {
            for ($x = 0; $x < self::COLUMNS; $x++) {
                [$u, $v] = [($x - 500) / 190, ($y - 350) / 240];
                $inside = $which === 'leaf on sand'
                    ? 190 * (1 - hypot($u, $v) + 0.12 * sin(5 * atan2($v, $u)))
                    : 95 * (1 - ($u / ($v < -0.45 ? 0.55 : 1)) ** 2 - $v ** 2);
                $this->alpha[] = $alpha = max(0.0, min(1.0, $inside + 0.5));
                $blotch = sin(0.021 * $x + 2 * sin(0.013 * $y)) * sin(0.017 * $y + 1.5 * sin(0.011 * $x));
                [$subject, $ground] = match ($which) {
                    'jar on plaster' => [[128 + 10 * $u, 124 + 10 * $u, 106 + 10 * $u], [118 + 9 * $blotch, 122 + 9 * $blotch, 112 + 8 * $blotch]],
                    'jar on earth' => [[92 - 8 * $u + 6 * $v, 84 - 8 * $u + 6 * $v, 72 - 8 * $u], [70 + 14 * $blotch + 0.02 * $x, 66 + 13 * $blotch + 0.02 * $x, 60 + 12 * $blotch]],
                    'grey on grey' => [array_fill(0, 3, 138 + 10 * $u), array_fill(0, 3, 120 + 8 * $blotch)],
                    default => [[166 + 14 * $u * $u - 10 * $v, 166 + 12 * $u * $u - 10 * $v, 162 - 10 * $v], [176 + 10 * $blotch, 170 + 10 * $blotch, 160 + 10 * $blotch]],
                };
                $this->seen[] = array_map(
                    static fn (float $one, float $other): int => (int) max(0, min(255, round($alpha * $one + (1 - $alpha) * $other + self::grain()))), $subject, $ground,
                );
            }
        }
    }

    public function picture(): Flat
    {
        return new Flat(self::COLUMNS, self::ROWS, fn (int $x, int $y): array => $this->seen[$y * self::COLUMNS + $x]);
    }

    /** @return list<array<string, mixed>> a zigzag on the subject, a line on either side of it */
    public static function strokes(): array
    {
        $stroke = static fn (bool $letsIn, array $points): array => ['size' => 16, 'hardness' => 100, 'letsIn' => $letsIn, 'points' => $points];

        return [$stroke(true, [[500, 180], [450, 300], [560, 380], [450, 480], [520, 530]]), $stroke(false, [[230, 60], [230, 640]]), $stroke(false, [[770, 60], [770, 640]])];
    }

    /** Nearly normal, with a deviation of 3.5. */
    private static function grain(): float
    {
        return 6 * ((mt_rand() + mt_rand() + mt_rand() + mt_rand()) / mt_getrandmax() - 2);
    }
}
