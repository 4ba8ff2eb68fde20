<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Bounded;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Kind\Join;
use Aumbrel\Core\Kind\OwnShare;
use Aumbrel\Core\Kind\PlateMask;
use Aumbrel\Core\Scene\MaskEntry;
use Aumbrel\Core\Seen\PlateWords;

/** What the masks on an emitter make together. Those that know plates only lie on the light's plate. */
final readonly class EmitterMasks implements Emitter
{
    use OwnShare;

    private string $name;

    /**
     * @param  non-empty-list<MaskEntry>  $masks
     * @param  string|null  $plateId  of the plate, whose cut-out nothing of it leaves
     */
    public function __construct(private array $masks, private Sites $sites, private ?string $plateId)
    {
        $own = array_map(static fn (MaskEntry $entry): string => $entry->key(), $masks);
        $this->name = 'emitter '.hash('xxh128', implode(' ', $own).($plateId === null ? '' : $sites->seen($plateId, Window::whole(1, 1))?->key() ?? ''));
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        return JoinedMasks::write($kernel, $this->masks, fn (MaskEntry $entry): string => self::needsPlate($entry)
            ? $this->onPlate($entry->mask, $kernel, $window) : $entry->mask->write($kernel, $window));
    }

    private function onPlate(PlateMask $mask, KernelWriter $kernel, Window $window): string
    {
        $plate = $this->plateId === null ? null : $this->sites->lying($this->plateId);
        $seen = $this->plateId === null ? null : $this->sites->seen($this->plateId, $window);

        return $plate === null || $seen === null ? '0.0'
            : "({$kernel->plane($mask->onPlate(Frame::plate($window, $plate->placement), $plate->picture))}[\$i] * ".PlateWords::alpha($kernel, $seen).')';
    }

    /** Round all that adds to it, where everything that does has bounds. */
    public function extent(): ?Bounds
    {
        $all = null;
        foreach ($this->masks as $at => $entry) {
            if ($at > 0 && $entry->join !== Join::Add) {
                continue;
            }
            $own = $entry->inverted || $entry->join === Join::TakeAway || ! $entry->mask instanceof Bounded ? null : $entry->mask->bounds();
            if ($own === null) {
                return null;
            }
            $all = $all instanceof Bounds ? $all->with($own) : $own;
        }

        return $all;
    }

    /** By hand: the name has all masks and the plate, worked out once. */
    public function identity(): string
    {
        return $this->name;
    }

    /** Thin strokes and small areas are lost in large pixels. */
    public function isExact(): bool
    {
        return false;
    }

    /** @phpstan-assert-if-true PlateMask $entry->mask */
    private static function needsPlate(MaskEntry $entry): bool
    {
        return $entry->mask instanceof PlateMask && ! in_array(Ground::Scene, $entry->mask::grounds(), true);
    }
}
