<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\CutOut\HolesPlane;
use Aumbrel\Core\CutOut\PlateOutline;
use Aumbrel\Core\CutOut\WholeShape;
use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Light\EmitterPlane;
use Aumbrel\Core\Light\PlateShape;

/** What of a plate throws a shadow: its cut-out, on request with its holes filled, and nothing below its contact row. */
final readonly class CastShape
{
    /**
     * @param  PlateOutline|null  $filled  whose holes are filled
     * @param  Sheet|null  $sheet  that ends at its contact row
     */
    private function __construct(private PlateShape $shape, private ?PlateOutline $filled, private ?Sheet $sheet)
    {
    }

    /** Null when there is no plate of that id, or nothing cuts it out. */
    public static function of(Site $site, string $plate, bool $filled, ?Sheet $sheet = null): ?self
    {
        $shape = PlateShape::of($site, $plate);
        $outline = $site->outline($plate);

        return $shape === null || $outline === null ? null : new self($shape, $filled ? $outline : null, $sheet);
    }

    public function extent(): Bounds
    {
        return $this->shape->extent();
    }

    /** @return list<float> how much of it covers each pixel of a window */
    public function coverage(Planes $planes, Window $window): array
    {
        $values = $planes->numbers(new EmitterPlane($this->shape, $window));
        if ($this->filled !== null) {
            $holes = $planes->numbers(new HolesPlane(Frame::plate($window, $this->filled->placement), new WholeShape($this->filled->picture, $this->filled->masks)));
            foreach ($holes as $at => $hole) {
                $values[$at] = $hole > $values[$at] ? $hole : $values[$at];
            }
        }

        /** @var list<float> $values changed only where it had values already */
        return $this->sheet === null ? $values : $this->overRow($values, $window, $this->sheet);
    }

    public function key(): string
    {
        return "{$this->shape->identity()} ".($this->filled === null ? '' : 'filled ').($this->sheet === null ? '' : "over {$this->sheet->key()}");
    }

    /**
     * What lies under the contact row is dropped, and what lies in another fold; both are antialiased over a pixel, so that
     * two folds make one whole.
     *
     * @param  list<float>  $values
     * @return list<float>
     */
    private function overRow(array $values, Window $window, Sheet $sheet): array
    {
        for ($row = 0, $at = 0; $row < $window->rows; $row++) {
            $y = $window->yOf($row);
            for ($column = 0; $column < $window->columns; $column++, $at++) {
                $x = $window->xOf($column);
                $over = ($sheet->rowAt($x) - $y) * $window->scale + 0.5;
                if ($over < 1.0) {
                    $values[$at] *= max(0.0, $over);
                }
                $inside = $sheet->inside($x, $y) * $window->scale + 0.5;
                if ($inside < 1.0) {
                    $values[$at] *= max(0.0, $inside);
                }
            }
        }

        /** @var list<float> $values changed only where it had values already */
        return $values;
    }
}
