<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Inliner;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Light\SoftShape;
use Aumbrel\Core\Plate\PictureShelf;
use Aumbrel\Core\Plate\PlatePlane;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\SceneError;
use Aumbrel\Core\Scene\Strip;
use LogicException;

/** Renders windows of scenes: plans, sees to the planes that the kernels read, and runs them row by row. */
final class Renderer
{
    /** How the pixels of a row are packed, by bits a channel. */
    private const FORMATS = [8 => 'V*', 16 => 'J*'];

    private readonly Inliner $inliner;

    public function __construct(
        private readonly KernelStore $kernels,
        private readonly PictureShelf $shelf,
        private readonly PlaneCache $planes = new PlaneCache,
        private readonly Checkpoints $checkpoints = new Checkpoints,
    ) {
        $this->inliner = new Inliner;
    }

    /**
     * The picture, or with $until the picture up to and with that strip.
     *
     * @param  8|16  $bits
     * @param  string|null  $below  a strip that is being changed: the picture below it is kept for the next call
     *
     * @throws SceneError when a plate's picture or the strip is not there
     */
    public function picture(Scene $scene, Window $window, int $bits = 8, ?string $until = null, ?string $below = null): Picture
    {
        $strips = $until === null ? $scene->strips : $scene->upTo($until);
        $plan = $this->planner($scene, $window, [], $below)->picture($strips, $bits);
        [$clipped, $bytes] = $this->run($plan, $window, self::FORMATS[$bits]);

        return new Picture($window->columns, $window->rows, $bits, $bytes['out'], $clipped);
    }

    /**
     * What each of the given strips contributes, by strip.
     *
     * @param  list<string>  $ids
     * @param  8|16  $bits
     * @return array<string, Picture>
     *
     * @throws SceneError when a strip is not there
     */
    public function contributions(Scene $scene, Window $window, array $ids, int $bits = 8): array
    {
        $known = array_map(static fn (Strip $strip): string => $strip->id, $scene->everyStrip());
        if (array_diff($ids, $known) !== []) {
            throw new SceneError('strip', 'there is no strip "'.implode('", "', array_diff($ids, $known)).'" in this scene');
        }
        $planner = $this->planner($scene, $window, $ids);
        $plan = $planner->contributions($scene->strips, $bits);
        [, $bytes] = $this->run($plan, $window, self::FORMATS[$bits]);
        $pictures = [];
        foreach ($planner->tapOrder() as $at => $id) {
            $pictures[$id] = new Picture($window->columns, $window->rows, $bits, $bytes[$plan->results[$at]], 0);
        }

        return $pictures;
    }

    /** The steps of a scene's picture, for measuring and for tests. */
    public function plan(Scene $scene, Window $window): Plan
    {
        return $this->planner($scene, $window)->picture($scene->strips, 8);
    }

    /** @param  list<string>  $tapped */
    private function planner(Scene $scene, Window $window, array $tapped = [], ?string $below = null): Planner
    {
        return new Planner($this->inliner, $scene, $window, $this->shelf, $tapped, $below);
    }

    /** @return array{int, array<string, string>} clipped pixels, and the packed bytes of each result */
    private function run(Plan $plan, Window $window, string $format): array
    {
        // rows are joined at the end: a string that grows by a row at a time is copied again and again
        $packed = array_fill_keys($plan->results, []);
        $clipped = $this->rows($plan, $window, static function (array $lines) use (&$packed, $plan, $format): void {
            foreach ($plan->results as $result) {
                /** @var list<int> $pixels */
                $pixels = $lines[$result];
                $packed[$result][] = pack($format, ...$pixels);
            }
        });

        return [$clipped, array_map(static fn (array $rows): string => implode('', $rows), $packed)];
    }

    /**
     * Runs a plan over the rows of a window.
     *
     * @param  callable(array<string, mixed>): void  $done  takes the lines of each finished row
     */
    private function rows(Plan $plan, Window $window, callable $done): int
    {
        $columns = $window->columns;
        $zero = array_fill(0, $columns, 0.0);
        $lines = ['r' => $zero, 'g' => $zero, 'b' => $zero, 'a' => $zero, 'clipped' => 0];
        $steps = [];
        foreach ($plan->passes as $pass) {
            if ($pass instanceof Keep) {
                $steps[] = [$pass->copies, null, [], [], [], null];

                continue;
            }
            $kernel = $pass->kernel;
            $steps[] = [null, $this->kernels->load($kernel), $kernel->numbers, $kernel->tables, array_map($this->plane(...), $kernel->planes), $pass->extent];
            foreach ($kernel->lines as $line) {
                $lines[$line] ??= $zero;
            }
        }
        $step = $window->step();
        $left = $window->xOf(0);
        $key = $plan->checkpoint > 0 ? "{$plan->checkpointKey()} {$window->key()}" : '';
        $below = $plan->checkpoint > 0 ? $this->checkpoints->get($key) : null;
        $keeps = $plan->checkpoint > 0 && $below === null;
        $kept = [];
        if ($below !== null) {
            $steps = array_slice($steps, $plan->checkpoint);
        }
        for ($row = 0; $row < $window->rows; $row++) {
            $y = $window->yOf($row);
            $pixel = $row * $columns;
            if ($below === null) {
                $lines['r'] = $lines['g'] = $lines['b'] = $lines['a'] = $zero;
            } else {
                $lines = [...$lines, ...$below[$row]];
            }
            foreach ($steps as $at => [$copies, $kernel, $numbers, $tables, $planes, $extent]) {
                if ($keeps && $at === $plan->checkpoint) {
                    $kept[] = array_diff_key($lines, ['clipped' => 0, 'cover' => 0, 'out' => 0]);
                }
                if ($kernel === null) {
                    foreach ($copies as $from => $to) {
                        $lines[$to] = $lines[$from];
                    }

                    continue;
                }
                $from = 0;
                $to = $columns;
                if ($extent !== null) {
                    $span = $extent->span($y);
                    if ($span === null) {
                        continue;
                    }
                    $from = (int) max(0.0, ceil(($span[0] - $left) / $step - 1e-6));
                    $to = (int) min((float) $columns, floor(($span[1] - $left) / $step + 1e-6) + 1);
                    if ($from >= $to) {
                        continue;
                    }
                }
                $kernel($numbers, $tables, $planes, $lines, $from, $to, $pixel, $left, $step, $y);
            }
            $done($lines);
        }
        if ($keeps) {
            $this->checkpoints->put($key, $kept, $columns);
        }

        return is_int($lines['clipped']) ? $lines['clipped'] : 0;
    }

    /** @return list<int>|list<float> */
    private function plane(object $request): array
    {
        return match (true) {
            $request instanceof PlatePlane => $this->planes->get($request->key(), $request->fill(...)),
            $request instanceof SoftShape => $this->planes->get($request->key(), fn (): array => $request->soften($this->sharp($request))),
            default => throw new LogicException('nobody fills '.$request::class),
        };
    }

    /** @return list<float> a light's shape on its lattice */
    private function sharp(SoftShape $shape): array
    {
        $kernel = new KernelWriter($this->inliner);
        $kernel->loop();
        $value = $shape->light->writeShape($kernel);
        $kernel->line("{$kernel->stored('shape')} = {$value};");
        $values = [];
        $this->rows(new Plan([new Pass($kernel->finish())], ['shape']), $shape->lattice(), static function (array $lines) use (&$values): void {
            /** @var list<float> $line */
            $line = $lines['shape'];
            array_push($values, ...$line);
        });

        return $values;
    }
}
