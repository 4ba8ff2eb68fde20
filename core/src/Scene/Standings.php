<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Grounds;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\Stance;
use Aumbrel\Core\Kind\Stand;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Kind\ThrowsShadow;
use Aumbrel\Core\Stage\Stage;
use Closure;

/** Where the plates of a scene stand, as one of its strips finds them. */
final readonly class Standings implements Grounds
{
    /** @param  Closure(Strip): StripKind  $lit  another strip's kind as its source drives it */
    public function __construct(private Scene $scene, private Measures $measures, private Footings $footings, private string $strip, private Closure $lit)
    {
    }

    public function stage(): Stage
    {
        return $this->scene->stage;
    }

    public function stand(string $plate): ?Stand
    {
        $strip = $this->scene->find($plate);

        return $strip === null ? null : self::of($strip, $this->measures, $this->footings);
    }

    public function under(): array
    {
        return array_values(array_filter($this->plates(), static fn (Stand $stand): bool => $stand->stance !== Stance::Free));
    }

    public function plates(): array
    {
        $under = [];
        foreach ($this->scene->everyStrip() as $strip) {
            if ($strip->id === $this->strip) {
                break;
            }
            $stand = $strip->muted ? null : self::of($strip, $this->measures, $this->footings);
            if ($stand !== null && ($stand->distance !== null || $stand->depth !== null || $this->measures->isCutOut($strip))) {
                $under[] = $stand;
            }
        }

        return $under;
    }

    public function bySameSource(bool $onWall): array
    {
        $source = $this->scene->find($this->strip)?->source;
        $all = [];
        foreach ($source === null ? [] : $this->plain($this->scene->strips) as $strip) {
            if ($strip->id === $this->strip) {
                return $all;
            }
            $kind = $strip->kind;
            if ($kind instanceof ThrowsShadow && $kind->isOnWall() === $onWall && $strip->source === $source && $strip->mode === BlendMode::Multiply && $this->isPlain($strip)) {
                $lit = ($this->lit)($strip);
                if ($lit instanceof ThrowsShadow) {
                    $all[] = [$lit, $strip->amount];
                }
            }
        }

        // it lies in a group that changes it
        return [];
    }

    /**
     * What is not held by groups that change it.
     *
     * @param  list<Strip>  $strips
     * @return list<Strip>
     */
    private function plain(array $strips): array
    {
        $all = [];
        foreach ($strips as $strip) {
            array_push($all, ...$strip->isGroup() ? ($this->isPlain($strip) && $strip->amount === 1.0 ? $this->plain($strip->strips) : []) : [$strip]);
        }

        return $all;
    }

    private function isPlain(Strip $strip): bool
    {
        return ! $strip->muted && ! $strip->closed && $strip->activeMasks() === [] && $strip->confinedTo === null && $strip->complements === null && $strip->activeTones() === null && ($strip->keptOff->plates ?? []) === [];
    }

    /** Null when it is no plate, or nothing of it is there. */
    public static function of(Strip $strip, Measures $measures, Footings $footings): ?Stand
    {
        $plate = $strip->kind;
        $box = self::box($strip, $measures);
        $feet = $footings->feet($strip);

        return ! $plate instanceof Pictured || $box === null || $feet === [] ? null
            : new Stand($strip->id, $strip->name, $footings->stance($strip), $box, $feet, $plate->gap(), $plate->receives(), $plate->distance(), $plate->depthPass());
    }

    /** The box of what is there of a plate, in the scene. */
    public static function box(Strip $strip, Measures $measures): ?Bounds
    {
        $box = $measures->box($strip);
        if ($box === null || ! $strip->kind instanceof Pictured) {
            return null;
        }
        $placement = $strip->kind->placement(...$measures->size($strip->kind->picture()) ?? [1, 1]);

        return Bounds::round(array_map(static fn (array $corner): array => $placement->toScene(new Point(...$corner))->toArray(), [[$box->left, $box->top], [$box->right, $box->top], [$box->right, $box->bottom], [$box->left, $box->bottom]]));
    }
}
