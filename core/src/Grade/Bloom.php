<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Beneath;
use Aumbrel\Core\Kind\LooksBelow;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Texture\Lattice;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** Light that spreads from whatever is bright, as in a lens or in damp air: added in linear light. */
final readonly class Bloom implements LinearGrade, LooksBelow
{
    use Recolours;
    use WorksInLinear;

    /** The wide blur is so many times the near one. */
    private const WIDE = 4.0;

    /** Points of the lattice to a sigma of the near blur. */
    private const POINTS = 3.0;

    /**
     * @param  float  $wide  0..1, the share of the wide blur
     * @param  array{Beneath, array{int, int}, Window}|null  $seen  the picture below, the scene's size and the window, where it is drawn
     */
    private function __construct(private float $threshold, private float $radius, private float $wide, private float $stops, private ?array $seen = null)
    {
    }

    public static function key(): string
    {
        return 'bloom';
    }

    public static function label(): string
    {
        return 'Bloom';
    }

    public static function hint(): string
    {
        return 'Bright places glare into what lies around them';
    }

    public static function parameters(): array
    {
        return [
            NumberValue::named('from', 'From', 'tone', Unit::Percent, 10, 100, 75)->says('Tones brighter than this glare'),
            NumberValue::named('near', 'Radius', 'tone', Unit::Pixels, 1, 2000, 20)->says('How far the near glare reaches'),
            NumberValue::named('strength', 'Strength', 'tone', Unit::Stops, -6, 3, -1.5, 0.1)->says('How bright the glare is, in stops below what it comes from'),
            NumberValue::named('farther', 'Wide share', 'ends', Unit::Percent, 0, 100, 45)->says('How much of it reaches four times as far'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->number('from') / 100, $values->number('near'), $values->number('farther') / 100, $values->number('strength'));
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['near' => round(max(2.0, 0.025 * $span), 1)];
    }

    public function looksBelow(): bool
    {
        return true;
    }

    public function goesBy(): array
    {
        return [];
    }

    public function isNone(): bool
    {
        return $this->seen === null;
    }

    public function writeLinear(KernelWriter $kernel, array $colour): void
    {
        if ($this->seen === null) {
            return;
        }
        [$beneath, $size, $window] = $this->seen;
        $lattice = new Lattice(max($window->step(), $this->radius / self::POINTS), $window);
        $blurs = [[$this->radius, 1 - $this->wide], [self::WIDE * $this->radius, $this->wide]];
        $gain = $kernel->number(2 ** $this->stops);
        $glare = array_map(fn (int $channel): string => $lattice->write($kernel, $window, new BloomPlane($beneath, $this->threshold, $blurs, $size, $lattice->points, $channel), false), [0, 1, 2]);
        foreach ($colour as $at => $channel) {
            $kernel->line("{$channel} += {$gain} * {$glare[$at]};");
        }
    }

    public function mayExceed(): bool
    {
        return true;
    }

    private function grade(Site $site): Grade
    {
        return new self($this->threshold, $this->radius, $this->wide, $this->stops, [$site->beneath(), $site->stage()->size(), $site->window()]);
    }
}
