<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Body\NormalPass;
use Aumbrel\Core\Body\OwnLight;
use Aumbrel\Core\Color\HueHill;
use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Inliner;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Kind\Likens;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Picture\ShapeStore;
use Aumbrel\Core\Scene\Hanging;
use Aumbrel\Core\Scene\Measures;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Closure;

/** Renders windows of scenes: plans, sees to the planes that the kernels read, and runs them row by row. */
final class Renderer
{
    /** How the pixels of a row are packed, by bits a channel. */
    private const FORMATS = [8 => 'V*', 16 => 'J*'];

    private readonly Inliner $inliner;

    private readonly RowRunner $runner;

    /** What is worked out for windows, for whoever wants more than pictures. */
    public readonly Planes $planes;

    public function __construct(
        KernelStore $kernels,
        private readonly PictureShelf $shelf,
        ?ShapeStore $shapes = null,
        private readonly Memory $memory = new Memory,
        private readonly ?Watch $watch = null,
    ) {
        $this->inliner = new Inliner;
        $step = static fn () => $watch?->step();
        $this->planes = new FilledPlanes(new PlaneCache($memory), $shapes ?? new ShapeStore, $this->sample(...), $step);
        $this->runner = new RowRunner($kernels, $this->planes->get(...), $memory, $step);
    }

    /** Gives back what has not been used for so many seconds. */
    public function giveBack(float $seconds): void
    {
        $this->memory->giveBack($seconds);
    }

    /** Lets go of what the last picture made needless; called when it has been handed on. */
    public function tidy(): void
    {
        $this->memory->tidy();
    }

    /**
     * The picture, or with $until the picture up to and with that strip.
     *
     * @param  8|16  $bits
     * @param  string|null  $below  a strip that is being changed: the picture below it is kept for the next call
     * @param  Shown  $as  how it is shown
     *
     * @throws SceneError when a plate's picture or the strip is not there
     */
    public function picture(Scene $scene, Window $window, int $bits = 8, ?string $until = null, ?string $below = null, Shown $as = Shown::Colours): Picture
    {
        $scene = $this->lit($scene);
        $strips = $until === null ? $scene->strips : $scene->upTo($until);
        $plan = $this->planner($scene, $window, [], $below, $as)->picture($strips, $bits);
        [$clipped, $bytes] = $this->run($plan, $window, self::FORMATS[$bits]);

        return new Picture($window->columns, $window->rows, $bits, $bytes['out'], $clipped);
    }

    /**
     * The picture, or the picture up to and with a strip, as values that are measured.
     *
     * @throws SceneError when a plate's picture or the strip is not there
     */
    public function read(Scene $scene, Window $window, ?string $until = null): ReadPicture
    {
        return new ReadPicture($this->coloursUpTo($scene, $window, $until));
    }

    /**
     * The picture, or the picture up to and with a strip, in linear light, premultiplied; what is brighter than white is kept.
     *
     * @return array{list<float>, list<float>, list<float>, list<float>} red, green, blue and alpha, row after row
     *
     * @throws SceneError when a plate's picture or the strip is not there
     */
    public function linear(Scene $scene, Window $window, ?string $until = null): array
    {
        [$red, $green, $blue, $alpha] = $this->coloursUpTo($scene, $window, $until);
        $light = static fn (float $value, float $there): float => $there * Srgb::decode($value);

        return [array_map($light, $red, $alpha), array_map($light, $green, $alpha), array_map($light, $blue, $alpha), $alpha];
    }

    /**
     * What each of the given strips contributes, by strip.
     *
     * @param  list<string>  $ids
     * @param  8|16  $bits
     * @return array<array-key, Picture>
     *
     * @throws SceneError when a strip is not there
     */
    public function contributions(Scene $scene, Window $window, array $ids, int $bits = 8, Shown $as = Shown::Colours): array
    {
        $known = array_map(static fn (Strip $strip): string => $strip->id, $scene->everyStrip());
        if (array_diff($ids, $known) !== []) {
            throw new SceneError('strip', 'there is no strip "'.implode('", "', array_diff($ids, $known)).'" in this scene');
        }
        $scene = $this->lit($scene);
        $planner = $this->planner($scene, $window, $ids, as: $as);
        $plan = $planner->contributions($scene->strips, $bits);
        [, $bytes] = $this->run($plan, $window, self::FORMATS[$bits]);
        $pictures = [];
        foreach ($planner->tapOrder() as $at => $id) {
            $pictures[$id] = new Picture($window->columns, $window->rows, $bits, $bytes[$plan->results[$at]], 0);
        }

        return $pictures;
    }

    /**
     * White where a strip's tone limits let it act, black where they do not, of what they go by.
     *
     * @throws SceneError when there is no such strip
     */
    public function passing(Scene $scene, Window $window, string $id): Picture
    {
        $lit = $this->lit($scene);
        [$below, $strip] = $lit->under($id);
        [, $bytes] = $this->run($this->planner($lit, $window)->passing($below, $strip, 8), $window, self::FORMATS[8]);

        return new Picture($window->columns, $window->rows, 8, $bytes['out'], 0);
    }

    /**
     * How many pixels of each tone there are in the picture below a strip, or in what it is itself.
     *
     * @return list<int> by luma, 256 of them; what is not there at all is not counted
     *
     * @throws SceneError when there is no such strip
     */
    public function tones(Scene $scene, Window $window, string $id, bool $ofItself): array
    {
        return Tones::counted($this->under($scene, $window, $id, $ofItself));
    }

    /**
     * The hues below a strip.
     *
     * @throws SceneError when there is no such strip
     */
    public function hues(Scene $scene, Window $window, string $id): HueHill
    {
        return HueHill::of($this->under($scene, $window, $id, false));
    }

    /**
     * The colours below a strip.
     *
     * @return list<array{string, float, float, float, float}> as {@see ColourCloud}
     *
     * @throws SceneError when there is no such strip
     */
    public function cloud(Scene $scene, Window $window, string $id): array
    {
        return ColourCloud::of($this->under($scene, $window, $id, false));
    }

    /** The pixels of what lies below a strip, or of itself, 8 bits. */
    private function under(Scene $scene, Window $window, string $id, bool $ofItself): string
    {
        $lit = $this->lit($scene);
        [$below, $strip] = $lit->under($id);
        $strips = match (true) {
            ! $ofItself => $below,
            $strip->closed => $strip->strips,
            $strip->isGroup() => [...$below, ...$strip->strips],
            default => [$strip->byItself()->masked([...$strip->cutOut(), ...$strip->emitter()])],
        };
        [, $bytes] = $this->run($this->planner($lit, $window)->picture($strips, 8), $window, self::FORMATS[8]);

        return $bytes['out'];
    }

    /**
     * What scopes draw of the picture, or of one strip by itself.
     *
     * @return array<string, mixed> as {@see ScopeCounts}
     *
     * @throws SceneError when there is no such strip
     */
    public function scopes(Scene $scene, Window $window, ?string $id): array
    {
        $shown = $scene;
        if ($id !== null) {
            $strip = $scene->find($id) ?? throw new SceneError('strip', "there is no strip \"{$id}\" in this scene");
            $shown = $scene->with([$strip->byItself()]);
        }
        $picture = $this->picture($shown, $window);

        return ScopeCounts::of($picture->bytes, $picture->columns, $picture->rows);
    }

    /**
     * How far what a strip brings to other colours is from them, before and after it; CIEDE2000 of their means.
     *
     * @return array{before: float, after: float}|null null where that cannot be told
     *
     * @throws SceneError when there is no such strip
     */
    public function likeness(Scene $scene, string $id): ?array
    {
        $lit = $this->lit($scene);
        $strip = $lit->under($id)[1];
        $sites = $this->sites($lit, Window::whole($scene->width, $scene->height));
        $site = new StripSite($strip, $sites);
        $apart = fn (bool $withItself): ?float => $strip->kind instanceof Likens ? $strip->kind->apart($site, $sites->beneath($id, $withItself), $this->planes) : null;
        [$before, $after] = [$apart(false), $apart(true)];

        return $before === null || $after === null ? null : ['before' => $before, 'after' => $after];
    }

    /**
     * The light that a plate brings along.
     *
     * @return OwnLight|string or why that cannot be told, in a sentence
     *
     * @throws SceneError when there is no such strip
     */
    public function ownLight(Scene $scene, string $id): OwnLight|string
    {
        $lit = $this->lit($scene);
        $plate = $lit->under($id)[1]->kind;
        $body = $plate instanceof Pictured ? $this->sites($lit, Window::whole(1, 1))->body($id) : null;
        $light = $body?->ownLight();

        return match (true) {
            $body?->lacks() !== null => $body->lacks(),
            $light !== null => OwnLight::ofNumbers($this->planes->numbers($light)),
            ! $plate instanceof Pictured => 'Only a plate brings a light along.',
            $plate->found() === null => 'It is not known where its light comes from: estimate its bearing, or set it by hand.',
            default => 'It is not cut out and has no normals, so nothing tells its form.',
        };
    }

    /** Whether green grows upward in a plate's picture of normals, as it seems; null without one. */
    public function normalsUpward(Scene $scene, string $id): ?bool
    {
        $name = $scene->plate($id)?->form()->normals;
        $picture = $name === null ? null : $this->sites($scene, Window::whole(1, 1))->picture($name);

        return $picture === null ? null : NormalPass::growsUpward($picture);
    }

    /**
     * The mean colour of a patch, and what it was before anything was lit.
     *
     * @return array{after: array{float, float, float, float}|null, before: array{float, float, float, float}|null} encoded, and their luma; null where nothing is there
     */
    public function patch(Scene $scene, Window $window): array
    {
        $mean = function (Scene $scene) use ($window): ?array {
            /** @var array<int, int> $values */
            $values = unpack('n*', $this->picture($scene, $window, 16)->bytes) ?: [];
            $sums = [0, 0, 0];
            $weight = 0;
            for ($at = 1; $at < count($values); $at += 4) {
                $weight += $values[$at + 3];
                foreach ([0, 1, 2] as $channel) {
                    $sums[$channel] += $values[$at + 3] * $values[$at + $channel];
                }
            }
            [$red, $green, $blue] = array_map(static fn (int $sum): float => $sum / max(1, $weight) / 65535, $sums);

            return $weight > 0 ? [$red, $green, $blue, Luma::of($red, $green, $blue)] : null;
        };

        return ['after' => $mean($scene), 'before' => $mean($scene->with($scene->unlit()))];
    }

    /**
     * A mask by itself: white where it lets through, of a cut-out with its plate's border. Or the whole picture with what it
     * holds back under a tint.
     *
     * @param  string|null  $below  the strip that is being changed, as for {@see picture()}
     *
     * @throws SceneError when there is no such mask
     */
    public function mask(Scene $scene, Window $window, string $id, bool $tint = false, ?string $below = null): Picture
    {
        foreach ($scene->everyStrip() as $strip) {
            foreach ($strip->masks as $entry) {
                if ($entry->id === $id) {
                    // a cut-out is seen as this mask alone makes it
                    $shown = $entry->on === Ground::Plate && ! $tint ? $scene->changing($strip->id, static fn (Strip $plate): Strip => $plate->masked([$entry->alone()])) : $scene;
                    $lit = $this->lit($shown);
                    [$clipped, $bytes] = $this->run($this->planner($lit, $window, [], $below)->mask($lit->find($strip->id) ?? $strip, $entry, $tint ? $lit->strips : null, 8), $window, self::FORMATS[8]);

                    return new Picture($window->columns, $window->rows, 8, $bytes['out'], $clipped);
                }
            }
        }
        throw new SceneError('mask', "there is no mask \"{$id}\" in this scene");
    }

    /**
     * The plates that are seen at a place: those whose cut-out lets half of it through at least, the foremost first.
     *
     * @param  Point  $at  scene pixels
     * @return list<string> their ids
     */
    public function platesAt(Scene $scene, Point $at): array
    {
        $found = [];
        $window = new Window($at->x - 0.5, $at->y - 0.5, 1.0, 1.0);
        foreach (array_reverse($scene->everyStrip()) as $strip) {
            if ($strip->kind instanceof Pictured && ! $strip->muted && $strip->amount > 0 && ord($this->picture($scene->with([$strip->byItself()]), $window)->bytes[3] ?? "\0") >= 128) {
                $found[] = $strip->id;
            }
        }

        return $found;
    }

    /** What is measured on the pictures that it renders from. */
    public function measures(): Measures
    {
        return new Measured($this->planes, $this->shelf);
    }

    /** The scene with every strip as its source drives it. */
    private function lit(Scene $scene): Scene
    {
        return (new Hanging($scene, $this->measures()))->resolved();
    }

    /** @param  list<string>  $tapped */
    private function planner(Scene $scene, Window $window, array $tapped = [], ?string $below = null, Shown $as = Shown::Colours): Planner
    {
        return new Planner($this->inliner, $this->sites($scene, $window), $tapped, $below, $as);
    }

    /** What the strips of a scene find around them in a window. */
    public function sites(Scene $scene, Window $window): Sites
    {
        return new Sites(
            $scene, $window, $this->shelf,
            fn (Scene $scene, array $strips, Window $window): array => $this->values($this->planner($scene, $window)->brightness($strips), $window, 'shape'),
            fn (Scene $scene, array $strips, Window $window): array => $this->values($this->planner($scene, $window)->picture($strips, 8), $window, 'out'),
            fn (Scene $scene, array $strips, Window $window): array => $this->colours($this->planner($scene, $window)->colours($strips), $window),
        );
    }

    /** @return array{int, array<string, string>} clipped pixels, and the packed bytes of each result */
    private function run(Plan $plan, Window $window, string $format): array
    {
        $watch = $this->watch;
        [$clipped, $rows] = $this->runner->run($plan, $window, static function (array $lines, int $from, int $to) use ($plan, $format, $watch, $window): array {
            $packed = [];
            foreach ($plan->results as $result) {
                /** @var list<int> $pixels */
                $pixels = $lines[$result];
                $packed[$result] = pack($format, ...($to - $from < $window->columns ? array_slice($pixels, $from, $to - $from) : $pixels));
            }
            $watch?->row();

            return $packed;
        }, static function (array $row, array $part, int $from) use ($window): array {
            foreach ($part as $result => $bytes) {
                /**
                 * @var string $whole
                 * @var string $bytes
                 */
                $whole = $row[$result];
                $row[$result] = substr_replace($whole, $bytes, intdiv(strlen($whole), $window->columns) * $from, strlen($bytes));
            }

            return $row;
        });
        $whole = [];
        foreach ($plan->results as $result) {
            /** @var list<string> $bytes */
            $bytes = array_column($rows, $result);
            $whole[$result] = implode('', $bytes);
        }

        return [$clipped, $whole];
    }

    /**
     * @param  Closure(KernelWriter): string  $formula
     * @return list<float>
     */
    private function sample(Closure $formula, Window $window): array
    {
        $kernel = new KernelWriter($this->inliner);
        $kernel->loop();
        $value = $formula($kernel);
        $kernel->line("{$kernel->stored('shape')} = {$value};");

        return $this->values(new Plan([new Pass($kernel->finish())], ['shape']), $window, 'shape');
    }

    /** @return array{list<float>, list<float>, list<float>, list<float>} the picture, or the picture up to and with a strip, encoded: red, green, blue and alpha, row after row */
    private function coloursUpTo(Scene $scene, Window $window, ?string $until): array
    {
        $scene = $this->lit($scene);

        return $this->colours($this->planner($scene, $window)->colours($until === null ? $scene->strips : $scene->upTo($until)), $window);
    }

    /** @return array{list<float>, list<float>, list<float>, list<float>} what a plan leaves in the lines of colours and alpha, row after row */
    private function colours(Plan $plan, Window $window): array
    {
        [, $rows] = $this->runner->run($plan, $window, static fn (array $lines): array => array_map(static fn (string $line): mixed => $lines[$line], $plan->results));
        $planes = [];
        foreach ([0, 1, 2, 3] as $at) {
            /** @var list<list<float>> $own */
            $own = array_column($rows, $at);
            $planes[] = array_merge(...$own);
        }

        return $planes;
    }

    /** @return ($line is 'out' ? list<int> : list<float>) what a plan leaves in a line, row after row */
    private function values(Plan $plan, Window $window, string $line): array
    {
        [, $rows] = $this->runner->run($plan, $window, static fn (array $lines): mixed => $lines[$line]);

        /** @var list<list<float>> $rows */
        return array_merge(...$rows);
    }
}
