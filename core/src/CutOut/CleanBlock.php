<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\Blocks;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Picture\Rectangle;

/**
 * A square block of a plate's picture, or of one of its halvings, cut out and with its edge cleaned: 16 bits a channel.
 *
 * Only what cleaning changes is kept for other processes; the rest is the picture's own pixels under the masks.
 */
final readonly class CleanBlock implements Plane
{
    /** Raised when edges are cleaned in another way, so that what was found before is not taken for it. */
    private const WAY = 2;

    public Rectangle $place;

    public function __construct(private PictureSource $picture, private CutMasks $masks, private Edge $edge, int $level, int $column, int $row)
    {
        $this->place = Blocks::place(new Halving($picture->width(), $picture->height(), $level), $column, $row);
    }

    /** By hand: it also names a file that is kept, so what was kept before must keep its name. */
    public function key(): string
    {
        return self::whole($this->picture, $this->masks, $this->edge)." block {$this->place->level} {$this->place->x} {$this->place->y}";
    }

    /** @return list<int> packed `A<<48 | R<<32 | G<<16 | B` */
    public function fill(Planes $planes): array
    {
        $fresh = null;
        $bytes = $planes->found(self::whole($this->picture, $this->masks, $this->edge), $this->key(), function () use ($planes, &$fresh): string {
            [$bytes, $fresh] = $this->worked($planes);

            return $bytes;
        });
        if ($fresh !== null) {
            return $fresh;
        }
        $count = self::counted($bytes);
        if (strlen($bytes) !== 4 + 12 * $count) {
            // what was kept is damaged
            return $this->worked($planes)[1];
        }
        $pixels = new Pixels($this->place->pixels($this->picture), $this->picture->bits());
        $packed = $pixels->with($this->shape($planes, $this->frame(0), $pixels));
        if ($count > 0) {
            /** @var array<int, int> $places */
            $places = unpack("V{$count}", $bytes, 4) ?: [];
            /** @var array<int, int> $changed */
            $changed = unpack("P{$count}", $bytes, 4 + 4 * $count) ?: [];
            foreach ($places as $k => $at) {
                $packed[$at] = $changed[$k];
            }
        }

        /** @var list<int> $packed changed only where it had values already */
        return $packed;
    }

    /** Sees to it that what cleaning changes here is known. */
    public function find(Planes $planes): void
    {
        $planes->found(self::whole($this->picture, $this->masks, $this->edge), $this->key(), fn (): string => $this->worked($planes)[0]);
    }

    private static function counted(string $bytes): int
    {
        /** @var array{1: int}|false $count */
        $count = strlen($bytes) >= 4 ? unpack('V', $bytes) : false;

        return $count === false ? -1 : $count[1];
    }

    /** @return array{string, list<int>} what cleaning changes, as bytes: how many pixels, their places, the pixels; and all pixels of the block */
    private function worked(Planes $planes): array
    {
        $scale = 1 / 2 ** $this->place->level;
        $margin = $this->edge->reach($scale);
        $frame = $this->frame($margin);
        [$columns, $rows] = [$frame->window->columns, $frame->window->rows];
        $around = new Rectangle($this->place->level, $this->place->x - $margin, $this->place->y - $margin, $columns, $rows);
        $pixels = new Pixels($around->pixels($this->picture), $this->picture->bits());
        $before = $this->shape($planes, $frame, $pixels);
        $cleaned = $this->edge->clean($before, $pixels, $columns, $rows, $scale);
        $all = $pixels->with($cleaned->alpha);
        foreach ($cleaned->colours as $at => $colour) {
            $all[$at] = $all[$at] & ~0xFFFFFFFFFFFF | $colour;
        }
        $packed = $places = $changed = [];
        for ($row = 0; $row < $this->place->rows; $row++) {
            for ($column = 0, $at = ($row + $margin) * $columns + $margin; $column < $this->place->columns; $column++, $at++) {
                $packed[] = $all[$at];
                if ($cleaned->alpha[$at] !== $before[$at] || isset($cleaned->colours[$at])) {
                    $places[] = count($packed) - 1;
                    $changed[] = $all[$at];
                }
            }
        }

        return [pack('V', count($places)).pack('V*', ...$places).pack('P*', ...$changed), $packed];
    }

    /** @return list<float> */
    private function shape(Planes $planes, Frame $frame, Pixels $pixels): array
    {
        return $this->masks->shape($planes, $frame, $this->picture, $this->picture->opaque() ? null : $pixels->alpha(), $this->edge->fillInside);
    }

    private function frame(int $margin): Frame
    {
        $unit = 2 ** $this->place->level;
        $window = new Window($this->place->x * $unit, $this->place->y * $unit, $this->place->columns * $unit, $this->place->rows * $unit, 1 / $unit);

        return Frame::plate($window->padded($margin), Placement::asItIs());
    }

    /** Names all that a cleaned picture depends on. */
    public static function whole(PictureSource $picture, CutMasks $masks, Edge $edge): string
    {
        return 'clean '.self::WAY." {$picture->key()} {$edge->key()} {$masks->key()}";
    }
}
