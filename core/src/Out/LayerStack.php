<?php

declare(strict_types=1);

namespace Aumbrel\Core\Out;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Render\Picture;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Render\StripLayers;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Closure;

/**
 * A scene as layers that other programs can stack: one a strip, in the operation that its mode means there. What has no such
 * operation, or goes by what lies below, is baked: the layer looks right over just this picture.
 */
final readonly class LayerStack
{
    private StripLayers $layers;

    public function __construct(private Scene $scene, private Renderer $renderer)
    {
        $this->layers = new StripLayers($renderer->sites($scene, Window::whole(1, 1)));
    }

    /** @return list<OutLayer> back to front */
    public function layers(): array
    {
        return $this->of($this->scene->strips);
    }

    /**
     * @param  list<Strip>  $strips
     * @return list<OutLayer>
     */
    private function of(array $strips): array
    {
        $layers = [];
        foreach ($strips as $strip) {
            if (! $strip->muted) {
                $layers[] = $this->layer($strip);
            }
        }

        return $layers;
    }

    private function layer(Strip $strip): OutLayer
    {
        if ($strip->isGroup() && ! $strip->closed && $this->isPlain($strip)) {
            return new OutLayer($strip->name, Operation::OVER, 1.0, null, null, $this->of($strip->strips));
        }
        $why = $this->whyBaked($strip);
        if ($why !== null) {
            return new OutLayer($strip->name, $this->addsNothing($strip) ? Operation::ATOP : Operation::OVER, 1.0, $why, $this->baked($strip));
        }

        return new OutLayer($strip->name, (string) Operation::of($strip->mode), $strip->amount, null, $this->covered($strip));
    }

    /** Whether an open group does nothing by itself. */
    private function isPlain(Strip $group): bool
    {
        return $group->amount >= 1 && $group->activeMasks() === [] && $group->activeTones() === null && $group->keptOff === null && $group->confinedTo === null;
    }

    private function whyBaked(Strip $strip): ?string
    {
        $own = $strip->isGroup() ? [] : $this->layers->of($strip);
        $isEach = static fn (callable $is): bool => array_filter($own, $is) !== [];

        return match (true) {
            $strip->isGroup() && ! $strip->closed => 'a group with a fader or masks of its own',
            $strip->activeTones() !== null => 'it goes by the tones that are there',
            $isEach(static fn (Layer $layer): bool => $layer->readsBelow() || $layer->recolours) => 'it changes the colours that lie below',
            $isEach(static fn (Layer $layer): bool => $layer->mode !== $strip->mode) || (count($own) > 1 && $strip->mode !== BlendMode::Normal) => 'it has layers in several modes',
            $isEach(static fn (Layer $layer): bool => $layer->inLinear) => 'it is mixed in linear light',
            Operation::of($strip->mode) === null => "{$strip->mode->value} is a mode of its own",
            default => null,
        };
    }

    /** Whether it only changes what is there already. */
    private function addsNothing(Strip $strip): bool
    {
        return ! $strip->isGroup() && array_filter($this->layers->of($strip), static fn (Layer $layer): bool => ! $layer->recolours && $layer->mode !== BlendMode::Illuminate) === [];
    }

    /** @return Closure(Window): Picture */
    private function covered(Strip $strip): Closure
    {
        [$scene, $renderer] = [$this->scene, $this->renderer];
        $over = static function (float $grey) use ($scene, $strip): Scene {
            $bare = $strip->inMode(BlendMode::Normal)->faded(1.0);

            return $scene->with(self::replaced($scene->upTo($strip->id), $strip->id, [EvenGround::strip($grey), $bare]));
        };

        return static fn (Window $window): Picture => Apart::covered($renderer->picture($over(0.0), $window, 16), $renderer->picture($over(1.0), $window, 16));
    }

    /** @return Closure(Window): Picture */
    private function baked(Strip $strip): Closure
    {
        [$scene, $renderer, $atop] = [$this->scene, $this->renderer, $this->addsNothing($strip)];
        $below = $scene->with($scene->under($strip->id)[0]);

        return static fn (Window $window): Picture => Apart::baked($renderer->picture($below, $window, 16), $renderer->picture($scene, $window, 16, $strip->id), $atop);
    }

    /**
     * @param  list<Strip>  $strips
     * @param  list<Strip>  $others
     * @return list<Strip> with others in the place of one of them, wherever it is
     */
    private static function replaced(array $strips, string $id, array $others): array
    {
        return array_merge(...array_map(static fn (Strip $strip): array => match (true) {
            $strip->id === $id => $others,
            $strip->isGroup() => [$strip->holding(self::replaced($strip->strips, $id, $others))],
            default => [$strip],
        }, $strips));
    }
}
