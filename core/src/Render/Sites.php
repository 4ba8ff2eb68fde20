<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Body\BodyPlane;
use Aumbrel\Core\Body\DepthForm;
use Aumbrel\Core\Body\PlateBody;
use Aumbrel\Core\CutOut\PlateOutline;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Asked;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\GuidedMask;
use Aumbrel\Core\Kind\MaskKind;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\PictureMask;
use Aumbrel\Core\Kind\StripMask;
use Aumbrel\Core\Mask\SoftPlane;
use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Scene\LookedAt;
use Aumbrel\Core\Scene\MaskEntry;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Seen\PlatePlane;
use Aumbrel\Core\Seen\PlateWords;
use Aumbrel\Core\Seen\SeenPlate;
use Closure;

/** What the strips of a scene find around them in one window. */
final class Sites implements Asked
{
    /** @var array<string, SeenPlate> by strip and window */
    private array $seen = [];

    /** @var array<string, PlateOutline|null> by strip */
    private array $outlines = [];

    private ?PlatesGuide $guide = null;

    /**
     * @param  Closure(Scene, list<Strip>, Window): list<float>  $brightness  of strips, encoded luma times alpha at each pixel
     * @param  Closure(Scene, list<Strip>, Window): list<int>  $pixels  of strips, packed
     * @param  Closure(Scene, list<Strip>, Window): array{list<float>, list<float>, list<float>, list<float>}  $colours  of strips, encoded, and alpha
     */
    public function __construct(public readonly Scene $scene, public readonly Window $window, private readonly PictureShelf $shelf, private readonly Closure $brightness, private readonly Closure $pixels, private readonly Closure $colours)
    {
    }

    /** Writes the value of a strip's mask in the window, grown and feathered as it is. */
    public function mask(Strip $strip, MaskEntry $entry, KernelWriter $kernel): string
    {
        [$name, $formula] = $entry->mask instanceof StripMask ? $this->ofBrightness($strip, $entry->mask)
            : [$entry->mask instanceof GuidedMask && $entry->mask->isGuided() ? $this->guide()->key() : '', fn (KernelWriter $kernel, Window $window): string => $this->written($entry->mask, $kernel, $window)];

        return $entry->feather === 0.0 && $entry->grow === 0.0 ? $formula($kernel, $this->window)
            : $this->softened("{$entry->shape()} {$name}", $formula, $entry->grow, $entry->feather, $kernel, true);
    }

    /**
     * What a mask depends on that is made of how bright something of the scene is, and how it is written.
     *
     * @return array{string, Closure(KernelWriter, Window): string}
     */
    private function ofBrightness(Strip $strip, StripMask $mask): array
    {
        $looked = new LookedAt($this->scene);
        $strips = $looked->by($strip->id, $mask);
        $name = $looked->name($strips);
        [$scene, $brightness] = [$this->scene, $this->brightness];

        return [$name, static fn (KernelWriter $kernel, Window $window): string => $strips === [] ? $mask->write($kernel, $window)
            : $mask->writeBright($kernel, $kernel->plane(new BrightnessPlane($name, static fn (Window $window): array => $brightness($scene, $strips, $window), $window)).'[$i]')];
    }

    /** Writes the value of a mask, with its picture where it needs one. */
    private function written(MaskKind $mask, KernelWriter $kernel, Window $window): string
    {
        if ($mask instanceof GuidedMask && $mask->isGuided()) {
            return $mask->writeGuided($kernel, $window, $this->guide());
        }
        if (! $mask instanceof PictureMask) {
            return $mask->write($kernel, $window);
        }
        $name = $mask->picture();

        return $mask->writeOf($kernel, $window, $name === null ? null : $this->picture($name));
    }

    /** The picture that strokes go by which stay on what is alike. */
    private function guide(): PlatesGuide
    {
        return $this->guide ??= new PlatesGuide($this->scene, $this->pixels);
    }

    /**
     * @param  Closure(KernelWriter, Window): string  $formula  of what is grown and feathered
     * @param  bool  $isSoft  whether it stays as soft as it is when it grows
     */
    private function softened(string $name, Closure $formula, float $grow, float $feather, KernelWriter $kernel, bool $isSoft): string
    {
        $coverage = static fn (Planes $planes, Frame $frame): array => $planes->sample(static fn (KernelWriter $kernel): string => $formula($kernel, $frame->window), $frame->window);

        return "{$kernel->plane(new SoftPlane($name, $coverage, $grow, $feather, Frame::scene($this->window), $isSoft))}[\$i]";
    }

    /**
     * Writes how much of a place a plate covers, its outline grown and feathered; null when there is no plate of that id.
     *
     * @param  float  $grow  px
     * @param  float  $feather  sigma, px
     */
    public function there(string $id, float $grow, float $feather, KernelWriter $kernel): ?string
    {
        $seen = $this->seen($id);
        if ($seen === null || ($grow === 0.0 && $feather === 0.0)) {
            return $seen === null ? null : PlateWords::alpha($kernel, $seen);
        }
        $name = $this->seen($id, Window::whole(1, 1))?->key() ?? $id;
        $there = function (KernelWriter $kernel, Window $window) use ($id): string {
            $seen = $this->seen($id, $window);

            return $seen === null ? '0.0' : PlateWords::alpha($kernel, $seen);
        };

        return $this->softened($name, $there, $grow, $feather, $kernel, false);
    }

    public function seen(string $id, ?Window $window = null): ?SeenPlate
    {
        $window ??= $this->window;
        $key = "{$id} {$window->key()}";
        if (isset($this->seen[$key])) {
            return $this->seen[$key];
        }
        $strip = $this->scene->find($id);

        return $strip !== null && $strip->kind instanceof Pictured
            ? $this->seen[$key] = $strip->kind->seen($this->shelf->picture($strip->kind->picture()), $strip->cutOut(), $window) : null;
    }

    /** Which way a plate's surface faces; null when there is no plate of that id. */
    public function body(string $id): ?BodyPlane
    {
        [$plate, $lying, $seen] = [$this->scene->plate($id), $this->lying($id), $this->seen($id)];
        if ($plate === null || $lying === null || $seen === null) {
            return null;
        }
        $form = $plate->form();
        $normals = $form->normals === null ? null : $this->picture($form->normals);
        $depth = $normals === null ? $this->depthForm($plate) : null;
        $body = new PlateBody($lying->picture, $this->outline($id), $form, $normals, $plate->found()?->bearing, $depth);
        $margin = BodyPlane::margin($body, $lying->placement, $this->window);

        return new BodyPlane($body, $lying->placement, $seen, $this->window, $normals === null ? null : $this->pass($id, (string) $form->normals), $form->detail === 0.0 ? null : $this->seen($id, $this->window->padded($margin)), $depth === null ? null : $this->pass($id, $depth->name(), $this->window->padded($margin)));
    }

    private function depthForm(Pictured $plate): ?DepthForm
    {
        [$pass, $deep] = [$plate->depthPass(), $plate->form()->deep];
        $picture = $pass === null || $deep === null ? null : $this->picture($pass->picture);

        return $pass === null || $deep === null || $picture === null ? null : new DepthForm($picture, $pass, $deep);
    }

    /** A picture that belongs to a plate, as the window sees it: it lies as that does; null when one of them is not there. */
    public function pass(string $plate, string $name, ?Window $window = null): ?SeenPlate
    {
        [$lying, $picture] = [$this->lying($plate), $this->picture($name)];

        return $lying === null || $picture === null ? null
            : PlatePlane::beside($picture, $lying->picture, $lying->placement, $window ?? $this->window);
    }

    /** A plate's picture and how it lies in the scene; null when there is no plate of that id. */
    public function lying(string $id): ?Lying
    {
        $plate = $this->scene->plate($id);
        $picture = $plate === null ? null : $this->shelf->picture($plate->picture());

        return $plate === null || $picture === null ? null : new Lying($picture, $plate->placement($picture->width(), $picture->height()));
    }

    /** What lies below a strip, or that with it. */
    public function beneath(string $strip, bool $withItself = false): BeneathStrip
    {
        return new BeneathStrip($this->scene, $strip, $this->colours, $withItself);
    }

    /**
     * What some strips of the scene yield over nothing, kept.
     *
     * @param  list<Strip>  $strips
     */
    public function held(array $strips): HeldPlane
    {
        [$scene, $colours] = [$this->scene, $this->colours];

        return new HeldPlane((new LookedAt($scene))->name($strips), static fn (Window $window): array => $colours($scene, $strips, $window), $this->window);
    }

    /** A picture of the scene; null when there is none of that name. */
    public function picture(string $name): ?PictureSource
    {
        try {
            return $this->shelf->picture($name);
        } catch (SceneError) {
            return null;
        }
    }

    public function outline(string $id): ?PlateOutline
    {
        if (array_key_exists($id, $this->outlines)) {
            return $this->outlines[$id];
        }
        $strip = $this->scene->find($id);

        return $this->outlines[$id] = $strip !== null && $strip->kind instanceof Pictured ? $strip->kind->outline($this->shelf->picture($strip->kind->picture()), $strip->cutOut()) : null;
    }
}
