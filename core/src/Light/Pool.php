<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Cuts;
use Aumbrel\Core\Geometry\Outline;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Stage\Camera;
use Aumbrel\Core\Stage\Face;

/** The light of a spot on a surface, as the camera sees it. */
final readonly class Pool implements Field
{
    use IdentityOfAll;

    /** Directions that make a ring. */
    private const PIECES = 72;

    /** Steps in which the brightest place is looked for, between the lamp's foot and the target. */
    private const STEPS = 400;

    private Vector $axis;

    /** The distance from the lamp to the target. */
    private float $throw;

    /** How high the lamp stands over the surface. */
    private float $height;

    /** @var list<array{float, float}>|null the ring beyond which nothing is left; null when that does not end in the picture */
    private ?array $end;

    /** @param  list<array{corners: list<array{float, float}>, inside: bool}>  $edges  where the surface ends in the picture */
    public function __construct(
        private Camera $camera,
        public Face $face,
        public Vector $lamp,
        private Vector $target,
        private AngularLaw $law,
        private ?float $reach,
        private Cuts $cuts,
        private array $edges = [],
    ) {
        $way = $target->minus($lamp);
        $this->throw = $way->length();
        $this->axis = $way->unit();
        $this->height = $face->over($lamp);
        $ring = $this->tilt() + $law->end() < 89 ? $this->ring($law->end()) : [];
        $this->end = count($ring) > self::PIECES ? $ring : null;
    }

    /** How far its axis is from straight down on the surface, degrees. */
    public function tilt(): float
    {
        return rad2deg(acos(max(-1.0, min(1.0, -$this->axis->dot($this->face->normal)))));
    }

    /** The shape at a place of the picture, written plainly; kernels run the same with the angular law by table. */
    public function shapeAt(float $x, float $y): float
    {
        $lit = $this->face->seenAt(new Point($x, $y), $this->camera);
        if ($lit === null) {
            return 0.0;
        }
        $cut = 1.0;
        foreach ($this->cuts->all as $edge) {
            $cut *= $edge['softness'] > 0
                ? PoolField::soft(self::inside($edge['line']->from, $edge['line']->to, $x, $y) / $edge['softness'])
                : (self::inside($edge['line']->from, $edge['line']->to, $x, $y) >= 0 ? 1.0 : 0.0);
        }

        foreach ($this->edges as ['corners' => $corners, 'inside' => $inside]) {
            $part = 1.0;
            foreach (self::sides($corners) as [$from, $to]) {
                $part *= PoolField::sharp(self::inside($from, $to, $x, $y));
            }
            $cut *= $inside ? $part : 1.0 - $part;
        }

        return $cut * $this->on($lit);
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $normal = $this->face->normal;
        $camera = $this->camera;
        [$slant, $w, $right, $up, $toward, $squared, $along, $turn, $pool] = array_map($kernel->variable(...), ['slant', 'w', 'right', 'up', 'toward', 'squared', 'along', 'turn', 'pool']);
        $column = $kernel->number($camera->column);
        $eye = $kernel->number($camera->eyeRow());
        $from = $camera->eye()->minus($this->lamp);
        $end = AngularLaw::turnOf($this->law->end());
        $table = $kernel->table("angular {$this->law->beam} {$this->law->field}", $this->law->table());
        // w x the ray through the pixel leads from the camera to the surface
        $kernel->row("{$slant} = ({$eye} - \$y) * {$kernel->number($normal->y)} + {$kernel->number(-$camera->focal * $normal->z - $camera->column * $normal->x)};");
        $kernel->line("{$pool} = 0.0; {$w} = {$kernel->number(-$this->face->over($camera->eye()))} / ({$slant} + \$x * {$kernel->number($normal->x)} + 1.0e-12); if ({$w} > 0.0) {");
        $kernel->line("{$right} = {$kernel->number($from->x)} + {$w} * (\$x - {$column}); {$up} = {$kernel->number($from->y)} + {$w} * ({$eye} - \$y); {$toward} = {$kernel->number($from->z)} - {$w} * {$kernel->number($camera->focal)};");
        $kernel->line("{$squared} = {$right} * {$right} + {$up} * {$up} + {$toward} * {$toward}; {$along} = {$right} * {$kernel->number($this->axis->x)} + {$up} * {$kernel->number($this->axis->y)} + {$toward} * {$kernel->number($this->axis->z)};");
        $kernel->inline([PoolField::class, 'turn'], [$along, $squared], $turn);
        $kernel->line("if ({$turn} < {$kernel->number($end)}) {");
        $kernel->inline([SpotField::class, 'angular'], [$table, $turn, $kernel->number(AngularLaw::intervals() / $end)], $pool);
        $kernel->line("{$pool} *= {$kernel->number($this->throw ** 2 * $this->height)} / ({$squared} * sqrt({$squared}));");
        if ($this->reach !== null) {
            $within = $kernel->variable('within');
            $kernel->inline([SpotField::class, 'reachWindow'], [$squared, $kernel->number($this->reach ** 2)], $within);
            $kernel->line("{$pool} *= {$within};");
        }
        foreach ($this->cuts->all as $edge) {
            $this->writeCut($kernel, $pool, $edge['line']->from, $edge['line']->to, $edge['softness']);
        }
        foreach ($this->edges as ['corners' => $corners, 'inside' => $inside]) {
            $this->writeEdge($kernel, $pool, $corners, $inside, $window->scale);
        }
        $kernel->line('} }');

        return $pool;
    }

    /** @param  list<array{float, float}>  $corners */
    private function writeEdge(KernelWriter $kernel, string $pool, array $corners, bool $inside, float $scale): void
    {
        [$part, $in, $kept] = [$kernel->variable('part'), $kernel->variable('in'), $kernel->variable('kept')];
        $kernel->line("{$part} = 1.0;");
        foreach (self::sides($corners) as [$from, $to]) {
            $this->writeInside($kernel, $in, $from, $to, $scale);
            $kernel->inline([PoolField::class, 'sharp'], [$in], $kept);
            $kernel->line("{$part} *= {$kept};");
        }
        $kernel->line($inside ? "{$pool} *= {$part};" : "{$pool} *= 1.0 - {$part};");
    }

    /**
     * The sides of a quadrilateral, each going along so that its inside lies to the left as one sees it.
     *
     * @param  list<array{float, float}>  $corners  clockwise
     * @return list<array{Point, Point}>
     */
    private static function sides(array $corners): array
    {
        $points = array_map(static fn (array $corner): Point => new Point(...$corner), $corners);

        return array_map(static fn (int $k): array => [$points[($k + 1) % 4], $points[$k]], array_keys($points));
    }

    /** Writes how far a place lies to the left of a line, in units of 1/scale px. */
    private function writeInside(KernelWriter $kernel, string $inside, Point $from, Point $to, float $scale): void
    {
        $start = self::inside($from, $to, 0, 0);
        [$byX, $byY] = [self::inside($from, $to, 1, 0) - $start, self::inside($from, $to, 0, 1) - $start];
        $kernel->line("{$inside} = {$kernel->number($start * $scale)} + \$x * {$kernel->number($byX * $scale)} + \$y * {$kernel->number($byY * $scale)};");
    }

    private function writeCut(KernelWriter $kernel, string $pool, Point $from, Point $to, float $softness): void
    {
        [$inside, $kept] = [$kernel->variable('inside'), $kernel->variable('kept')];
        $this->writeInside($kernel, $inside, $from, $to, $softness > 0 ? 1 / $softness : 1.0);
        if ($softness > 0) {
            $kernel->inline([PoolField::class, 'soft'], [$inside], $kept);
            $kernel->line("{$pool} *= {$kept};");
        } else {
            $kernel->line("if ({$inside} < 0.0) { {$pool} = 0.0; }");
        }
    }

    /** How far a place lies to the left of a line, going along it as one sees it, px. */
    private static function inside(Point $from, Point $to, float $x, float $y): float
    {
        return (($y - $from->y) * ($from->x - $to->x) + ($x - $from->x) * ($to->y - $from->y)) / $from->distanceTo($to);
    }

    /** E at a place of the surface. */
    private function on(Vector $lit): float
    {
        $way = $lit->minus($this->lamp);
        $squared = $way->dot($way);
        $angle = rad2deg(acos(max(-1.0, min(1.0, $way->dot($this->axis) / sqrt($squared)))));
        $window = $this->reach === null ? 1.0 : SpotField::reachWindow($squared, $this->reach ** 2);

        return $this->law->at($angle) * $this->throw ** 2 / $squared * $this->height / sqrt($squared) * $window;
    }

    /**
     * What the standard's modes divide by: its largest value over the surface where that is above 1. The brightest place lies on the way from the lamp's foot to the target: there the light falls steepest and from nearest,
     * here the beam is strongest.
     */
    public function largest(): float
    {
        $foot = $this->face->foot($this->lamp);
        $largest = 1.0;
        for ($step = 0; $step <= self::STEPS; $step++) {
            $largest = max($largest, $this->on($foot->plus($this->target->minus($foot)->times($step / self::STEPS))));
        }

        return $largest;
    }

    /**
     * Where the cone at an angle from the axis meets the surface, as the camera sees it, closed; only what is seen.
     *
     * @return list<array{float, float}>
     */
    public function ring(float $angle): array
    {
        $aside = abs($this->axis->x) < 0.9 ? new Vector(1.0, 0.0, 0.0) : new Vector(0.0, 1.0, 0.0);
        $one = $this->axis->cross($aside)->unit();
        $other = $this->axis->cross($one);
        [$cos, $sin] = [cos(deg2rad($angle)), sin(deg2rad($angle))];
        $ring = [];
        for ($k = 0; $k <= self::PIECES; $k++) {
            $turn = 2 * M_PI * $k / self::PIECES;
            $way = $this->axis->times($cos)->plus($one->times($sin * cos($turn)))->plus($other->times($sin * sin($turn)));
            $lit = $this->face->meets($this->lamp, $way);
            $seen = $lit === null ? null : $this->camera->seen($lit);
            if ($seen !== null) {
                $ring[] = [round($seen->x, 2), round($seen->y, 2)];
            }
        }

        return $ring;
    }

    /** The last ring, with room for its corners. */
    public function extent(): ?Outline
    {
        return $this->end === null ? null : new Outline($this->end, 1.0 + 0.002 * $this->throw);
    }

    public function readsBelow(): bool
    {
        return false;
    }
}
