<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stroke;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Mirror;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Input\Fields;
use JsonSerializable;
use WeakMap;

/**
 * One stroke of a brush as it was recorded; it replays the same at any scale.
 *
 * A point is x, y (px of the ground it lies on), pressure 0..1 and the time since the stroke began in ms.
 */
final readonly class Stroke implements JsonSerializable
{
    public const SMALLEST_SIZE = 0.5;

    public const LARGEST_SIZE = 4000.0;

    public const LONGEST_MARK = 10.0;

    /** Two stamps of a brush that stands still lie this far apart in time. */
    private const DWELL_MS = 50.0;

    /** Stamps of hairs lie closer, so that these draw lines. */
    private const HAIRS_APART = 0.25;

    private const MOST_POINTS = 5000;

    private const MOST_STAMPS = 100_000;

    private const FAR = 1e6;

    /**
     * @param  float  $size  the brush's diameter, px
     * @param  float  $hardness  0..1, the share of the radius that is fully covered
     * @param  float  $opacity  0..1, what one stroke can reach
     * @param  float  $flow  0..1, what one stamp adds of what is missing
     * @param  float  $spacing  of stamps, as a share of the radius
     * @param  bool  $letsIn  toward 1; otherwise it holds back, toward 0
     * @param  list<array{float, float, float, float}>  $points
     * @param  float  $stretch  how much longer a lamp's mark is along the stroke than across
     * @param  float  $dapples  0..1, how far it is broken into patches
     * @param  int  $seed  which patches
     * @param  string|null  $grid  of a tip that is made of a picture ({@see TipGrid})
     * @param  float  $alike  0..1, how strictly it stays on what is alike to where it began; 0 for not at all
     * @param  string|null  $name  by which it is kept elsewhere, when nothing else is known of it but what it does
     */
    private function __construct(
        public float $size,
        public float $hardness,
        public float $opacity,
        public float $flow,
        public float $spacing,
        public bool $letsIn,
        public Pressure $pressure,
        public array $points,
        public ?string $name = null,
        public Tip $tip = Tip::Brush,
        public float $stretch = 1.0,
        public float $dapples = 0.0,
        public int $seed = 1,
        public ?string $grid = null,
        public float $alike = 0.0,
    ) {
    }

    /** A stroke that is kept elsewhere. It stands for it in a scene that is not rendered, and is written down as its name. */
    public static function named(string $name, bool $letsIn): self
    {
        return new self(1.0, 0.0, 1.0, 1.0, 0.25, $letsIn, Pressure::Nothing, [], $name);
    }

    /**
     * @param  mixed  $raw  as in the scene file, or one that has been read before
     *
     * @throws SceneError naming the field
     */
    public static function read(mixed $raw, string $field): self
    {
        if ($raw instanceof self) {
            return $raw;
        }
        $fields = new Fields($raw, $field);
        $pressure = $fields->take('pressure', Pressure::Nothing->value);
        $tip = $fields->take('tip', Tip::Brush->value);
        $tip = (is_string($tip) ? Tip::tryFrom($tip) : null) ?? throw SceneError::expected("{$field}.tip", 'one of '.implode(', ', array_column(Tip::cases(), 'value')), $tip);
        $points = [];
        foreach ($fields->list('points', self::MOST_POINTS) as $at => $point) {
            $points[] = self::point($point, "{$field}.points[{$at}]");
        }
        if ($points === []) {
            throw SceneError::expected("{$field}.points", 'at least one point [x, y, pressure, ms]', $points);
        }

        $stroke = new self(
            $fields->number('size', 40, self::SMALLEST_SIZE, self::LARGEST_SIZE, 'px'),
            $fields->number('hardness', 0, 0, 100, '%') / 100,
            $fields->number('opacity', 100, 0, 100, '%') / 100,
            $fields->number('flow', 100, 0, 100, '%') / 100,
            $fields->number('spacing', 25, 5, 200, '%') / 100,
            // as files had it before the word was ours
            $fields->has('reveals') ? $fields->toggle('reveals', true) : $fields->toggle('letsIn', true),
            (is_string($pressure) ? Pressure::tryFrom($pressure) : null) ?? throw SceneError::expected("{$field}.pressure", 'one of '.implode(', ', array_column(Pressure::cases(), 'value')), $pressure),
            $points,
            tip: $tip,
            stretch: $fields->number('stretch', 1, 1, self::LONGEST_MARK, ''),
            dapples: $fields->number('dapples', 0, 0, 100, '%') / 100,
            seed: (int) $fields->number('seed', 1, 0, 0xFFFFFFFF, ''),
            grid: $tip === Tip::Picture ? TipGrid::check($fields->take('grid'), "{$field}.grid") : null,
            alike: $fields->number('alike', 0, 0, 100, '%') / 100,
        );
        if ($stroke->countStamps() > self::MOST_STAMPS) {
            throw new SceneError($field, 'is too long for so small a brush: at most '.number_format(self::MOST_STAMPS).' stamps');
        }

        return $stroke;
    }

    /**
     * Where the brush leaves its stamp: along the way as far apart as the spacing says, the first one at the start; one
     * more for every 50 ms without movement.
     *
     * @return list<array{float, float, float}> x, y, pressure
     */
    public function stamps(): array
    {
        $apart = $this->apart();
        [$x, $y, $pressure, $time] = $this->points[0];
        $stamps = [[$x, $y, $pressure]];
        $due = $apart;
        foreach (array_slice($this->points, 1) as [$nextX, $nextY, $nextPressure, $nextTime]) {
            $length = hypot($nextX - $x, $nextY - $y);
            if ($length == 0.0) {
                for ($k = (int) floor(($nextTime - $time) / self::DWELL_MS); $k > 0; $k--) {
                    $stamps[] = [$x, $y, $nextPressure];
                }
            }
            for (; $due <= $length; $due += $apart) {
                $share = $due / $length;
                $stamps[] = [$x + $share * ($nextX - $x), $y + $share * ($nextY - $y), $pressure + $share * ($nextPressure - $pressure)];
            }
            $due -= $length;
            [$x, $y, $pressure, $time] = [$nextX, $nextY, $nextPressure, $nextTime];
        }

        return $stamps;
    }

    /** The same about a line; one of which only the name is known has no points to mirror, and stays. */
    public function mirrored(Mirror $mirror): self
    {
        $points = array_map(static function (array $point) use ($mirror): array {
            $at = $mirror->point(new Point($point[0], $point[1]));

            return [$at->x, $at->y, $point[2], $point[3]];
        }, $this->points);

        return new self($this->size, $this->hardness, $this->opacity, $this->flow, $this->spacing, $this->letsIn, $this->pressure, $points, $this->name, $this->tip, $this->stretch, $this->dapples, $this->seed, $this->grid, $this->alike);
    }

    /** The rectangle outside which it leaves nothing; null when nothing is known of it but its name. */
    public function bounds(): ?Bounds
    {
        return Bounds::round(array_map(static fn (array $point): array => [$point[0], $point[1]], $this->points))?->grown($this->size / 2 * $this->stretch + 1);
    }

    private function apart(): float
    {
        return max(0.5, $this->size / 2 * $this->spacing * ($this->tip === Tip::Bristles ? self::HAIRS_APART : 1.0));
    }

    /** About how many stamps it leaves. */
    private function countStamps(): float
    {
        $count = 1.0;
        foreach ($this->points as $at => [$x, $y, , $time]) {
            [$lastX, $lastY, , $lastTime] = $this->points[max(0, $at - 1)];
            $length = hypot($x - $lastX, $y - $lastY);
            $count += $length == 0.0 ? max(0.0, $time - $lastTime) / self::DWELL_MS : $length / $this->apart();
        }

        return $count;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'size' => $this->size, 'hardness' => $this->hardness * 100, 'opacity' => $this->opacity * 100, 'flow' => $this->flow * 100,
            'spacing' => $this->spacing * 100, 'letsIn' => $this->letsIn, 'pressure' => $this->pressure->value, 'points' => $this->points,
            // a plain brush is written as it always was, and keeps its name
            ...($this->tip === Tip::Brush ? [] : ['tip' => $this->tip->value, 'stretch' => $this->stretch]),
            ...($this->dapples > 0 ? ['dapples' => $this->dapples * 100] : []),
            ...($this->dapples > 0 || $this->tip->isGrid() ? ['seed' => $this->seed] : []),
            ...($this->grid === null ? [] : ['grid' => $this->grid]),
            ...($this->alike > 0 ? ['alike' => $this->alike * 100] : []),
        ];
    }

    /** @return array<string, mixed>|string */
    public function jsonSerialize(): array|string
    {
        return $this->name ?? $this->toArray();
    }

    public function key(): string
    {
        // asked for every window of every draft
        /** @var WeakMap<self, string> $keys */
        static $keys = new WeakMap;
        $keys[$this] ??= $this->name ?? hash('xxh128', serialize($this->toArray()));

        return $keys[$this];
    }

    /**
     * @return array{float, float, float, float}
     *
     * @throws SceneError
     */
    private static function point(mixed $raw, string $field): array
    {
        $numbers = [];
        foreach (is_array($raw) && array_is_list($raw) ? [...$raw, ...array_slice([0, 0, 1, 0], min(4, count($raw)))] : [] as $number) {
            if ((is_int($number) || is_float($number)) && abs($number) <= self::FAR) {
                $numbers[] = (float) $number;
            }
        }
        if (count($numbers) !== 4 || ! is_array($raw) || count($raw) < 2 || count($raw) > 4 || $numbers[2] < 0 || $numbers[2] > 1) {
            throw SceneError::expected($field, '[x, y, pressure 0..1, ms]', $raw);
        }

        return $numbers;
    }
}
