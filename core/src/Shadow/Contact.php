<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Grounded;
use Aumbrel\Core\Kind\LiesUnder;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Shades;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Stance;
use Aumbrel\Core\Kind\Stand;
use Aumbrel\Core\Light\PlateShape;
use Aumbrel\Core\Light\Softened;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * The small dark seam where something touches: under feet, behind a frame. It is the part of the cut-out within a width of its
 * edge on one side, moved a little to that side and blurred.
 */
final class Contact implements Grounded, LiesUnder, Shades
{
    use Throws;

    private float $width;

    private float $softness;

    private float $offset;

    private float $toward;

    public static function key(): string
    {
        return 'contact';
    }

    public static function label(): string
    {
        return 'Contact shadow';
    }

    public static function hint(): string
    {
        return 'The dark seam where something touches ground or wall';
    }

    public static function parameters(): array
    {
        return [
            ...self::ofPlates('#090a10'),
            NumberValue::named('width', 'Width', 'shadow', Unit::Pixels, 0.5, 1000, 6, 0.5)->says('How much of the edge darkens what it touches'),
            NumberValue::named('softness', 'Softness', 'softness', Unit::Pixels, 0.3, 500, 2, 0.1),
            NumberValue::named('offset', 'Offset', 'reach', Unit::Pixels, 0, 500, 2, 0.5),
            NumberValue::direction('offsetTo', 'Offset to', 'reach', -90),
        ];
    }

    public static function from(Values $values): self
    {
        $own = new self;
        $own->of = $values->texts('of');
        $own->colour = Rgb::fromHex($values->text('colour'));
        [$own->width, $own->softness, $own->offset, $own->toward] = [$values->number('width'), $values->number('softness'), $values->number('offset'), deg2rad($values->number('offsetTo'))];

        return $own;
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['of' => $plate === null ? [] : [$plate], ...self::sizes(0.4 * $span)];
    }

    public static function shadowsOf(Stand $stand, array $densities): array
    {
        return [new Proposal('contact', "{$stand->name}, where it touches", self::class, ['of' => [$stand->id], ...self::sizes($stand->size())], amount: self::placedAmount(), order: 10)];
    }

    /**
     * @param  float  $size  the shorter side of what touches, px
     * @return array<string, float>
     */
    private static function sizes(float $size): array
    {
        return ['width' => round(max(1.0, 0.02 * $size), 1), 'softness' => round(max(0.5, 0.008 * $size), 1), 'offset' => round(max(0.5, 0.006 * $size), 1)];
    }

    public static function placedAmount(): float
    {
        return 75.0;
    }

    public function layers(Site $site): array
    {
        $seams = [];
        $stands = $this->stands();
        foreach ($stands as $stand) {
            $seam = $site->outline($stand->id) === null ? null : $this->seam($site, $stand);
            if ($seam !== null) {
                $seams[] = new Softened($seam, $this->softness, count($stands) === 1);
            }
        }

        return $this->darkening($site, $seams === [] ? null : new ShadowField($seams, $this->coverings($site)));
    }

    private function seam(Site $site, Stand $stand): ?Seam
    {
        [$x, $y] = [cos($this->toward), -sin($this->toward)];
        $shape = PlateShape::of($site, $stand->id, $this->offset * $x, $this->offset * $y);
        $behind = PlateShape::of($site, $stand->id, ($this->offset - $this->width) * $x, ($this->offset - $this->width) * $y);
        $row = $stand->stance === Stance::Hangs || Sheet::of($stand, $site->stage()->camera) === null ? null : ContactRow::of($stand);

        return $shape === null || $behind === null ? null : new Seam($shape, $behind, $row, max(3 * $this->width, Seam::OF_HEIGHT * ($stand->box->bottom - $stand->box->top)));
    }
}
