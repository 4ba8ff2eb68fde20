<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Color\Difference;
use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Beneath;
use Aumbrel\Core\Kind\ForPlate;
use Aumbrel\Core\Kind\Likens;
use Aumbrel\Core\Kind\LooksBelow;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PlateValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * Colours pulled toward others, by means and deviations in Oklab: Reinhard, Ashikhmin, Gooch, Shirley, *Color transfer between
 * images* (2001). Those of the plate that it is confined to toward what lies around it or toward a region; or all that lies
 * below toward a plate.
 */
final readonly class Matching implements ForPlate, Grade, Likens, LooksBelow
{
    use Recolours;

    public const AROUND = 'what lies around';

    private const REGION = 'a region';

    public const PLATE = 'a plate';

    /**
     * @param  array{float, float}  $amounts  of lightness, of colour, 0..1
     * @param  array{float, float, float}  $ranges  of darks, mids, lights, 0..1
     */
    private function __construct(private string $to, private ?string $plate, private Point $from, private Point $until, private array $amounts, private array $ranges, private ?MatchPlane $plane = null)
    {
    }

    public static function key(): string
    {
        return 'match';
    }

    public static function label(): string
    {
        return 'Match';
    }

    public static function hint(): string
    {
        return 'A plate takes the colours of what it stands in';
    }

    public static function parameters(): array
    {
        return [
            ChoiceValue::named('toward', 'Toward', 'tone', [self::AROUND, self::REGION, self::PLATE], self::AROUND)->says('Whose colours and contrast are taken: of what lies around the plate that it is confined to, of a region, or of a plate'),
            PlateValue::optional('like', 'Like', 'tone', 'no plate')->shownWhen('toward', [self::PLATE])->says('The plate whose colours and contrast everything below takes'),
            NumberValue::named('colourBy', 'Colour', 'tone', Unit::Percent, 0, 100, 70)->says('How far hue and richness are pulled'),
            NumberValue::named('contrastBy', 'Lightness', 'tone', Unit::Percent, 0, 100, 35)->says('How far brightness and contrast are pulled'),
            NumberValue::named('inDarks', 'In darks', 'ends', Unit::Percent, 0, 100, 100)->says('How much of it acts on dark tones'),
            NumberValue::named('inMids', 'In mids', 'ends', Unit::Percent, 0, 100, 100)->says('How much of it acts on middle tones'),
            NumberValue::named('inLights', 'In lights', 'ends', Unit::Percent, 0, 100, 100)->says('How much of it acts on bright tones'),
            PointValue::named('regionFrom', 'Region from', 'placing', new Point(0, 0))->shownWhen('toward', [self::REGION])->says('One corner of the region'),
            PointValue::named('regionTo', 'Region to', 'placing', new Point(100, 100))->shownWhen('toward', [self::REGION])->says('The other corner of the region'),
        ];
    }

    public static function from(Values $values): self
    {
        $share = static fn (string $name): float => $values->number($name) / 100;

        return new self(
            $values->text('toward'), $values->optionalText('like'), $values->object('regionFrom', Point::class), $values->object('regionTo', Point::class),
            [$share('contrastBy'), $share('colourBy')], [$share('inDarks'), $share('inMids'), $share('inLights')],
        );
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['regionFrom' => [round($centre->x - 0.3 * $span), round($centre->y - 0.2 * $span)], 'regionTo' => [round($centre->x), round($centre->y + 0.2 * $span)]];
    }

    public function looksBelow(): bool
    {
        return true;
    }

    public function goesBy(): array
    {
        return [];
    }

    public function problem(Surroundings $around): ?string
    {
        return match (true) {
            $this->to === self::PLATE && ($this->plate === null || $around->plate($this->plate) === null) => 'Say which plate everything below is to be like.',
            $this->to === self::AROUND && $around->confinedTo() === null => 'Confine it to a plate, under Mix: that takes the colours of what lies around it.',
            $this->to === self::REGION && (abs($this->until->x - $this->from->x) < 1 || abs($this->until->y - $this->from->y) < 1) => 'Its region is empty: drag the corners apart.',
            default => null,
        };
    }

    public function write(KernelWriter $kernel, array $colour): void
    {
        if ($this->plane === null) {
            return;
        }
        $numbers = $kernel->plane($this->plane);
        $row = array_map($kernel->variable(...), ['l0', 'a0', 'b0', 'rl', 'ra', 'rb', 'l1', 'a1', 'b1']);
        foreach ($row as $at => $variable) {
            $kernel->row("{$variable} = (float) {$numbers}[{$at}];");
        }
        [$luma, $weight, $darks, $lights] = array_map($kernel->variable(...), ['luma', 'weight', 'darks', 'lights']);
        if ($this->ranges === [1.0, 1.0, 1.0]) {
            $kernel->line("{$weight} = 1.0;");
        } else {
            $kernel->inline([Luma::class, 'of'], $colour, $luma);
            $kernel->inline([Ranges::class, 'darks'], [$luma], $darks);
            $kernel->inline([Ranges::class, 'lights'], [$luma], $lights);
            [$dark, $mid, $light] = $this->ranges;
            $kernel->line("{$weight} = {$kernel->number($mid)} + {$darks} * {$kernel->number($dark - $mid)} + {$lights} * {$kernel->number($light - $mid)};");
        }
        InOklab::enter($kernel, $colour);
        foreach ($colour as $axis => $value) {
            $amount = $kernel->number($this->amounts[$axis === 0 ? 0 : 1]);
            $kernel->line("{$value} += {$weight} * {$amount} * (({$value} - {$row[$axis]}) * {$row[$axis + 3]} + {$row[$axis + 6]} - {$value});");
        }
        $kernel->line("if ({$colour[0]} < 0.0) { {$colour[0]} = 0.0; }");
        InOklab::leave($kernel, $colour);
    }

    public function mayExceed(): bool
    {
        return true;
    }

    public function apart(Site $site, Beneath $picture, Planes $planes): ?float
    {
        [$own, $wanted] = $this->plane($site, $picture)?->spreads($planes) ?? [null, null];

        return $own === null || $wanted === null || min($own->weight, $wanted->weight) < MatchPlane::LEAST ? null : Difference::of(Oklab::toLinear(...$own->means), Oklab::toLinear(...$wanted->means));
    }

    private function grade(Site $site): Grade
    {
        return new self($this->to, $this->plate, $this->from, $this->until, $this->amounts, $this->ranges, $this->plane($site, $site->beneath()));
    }

    private function plane(Site $site, Beneath $picture): ?MatchPlane
    {
        $region = $this->to !== self::REGION ? null : [min($this->from->x, $this->until->x), min($this->from->y, $this->until->y), max($this->from->x, $this->until->x), max($this->from->y, $this->until->y)];

        return $this->problem($site) !== null ? null : new MatchPlane($picture, $site->seen(...), $this->to === self::PLATE ? null : $site->confinedTo(), $this->to === self::PLATE ? $this->plate : null, $region, $site->stage()->size());
    }
}
