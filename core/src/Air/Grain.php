<?php

declare(strict_types=1);

namespace Aumbrel\Core\Air;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Grade\Graded;
use Aumbrel\Core\Kind\Amount;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\ForPlate;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** The grain of film or sensor over everything below, or over a plate: as fine or coarse as its neighbours have it. */
final readonly class Grain implements ForPlate
{
    use Plain;

    /** The deviation of encoded values at 100 %. */
    public const FULL = 0.10;

    /** Blurs are sampled Gaussians up to here, px. */
    public const COARSEST = 1.9;

    private function __construct(private float $sigma, private float $size, private float $colour, private float $mids, private int $seed)
    {
    }

    public static function key(): string
    {
        return 'grain';
    }

    public static function label(): string
    {
        return 'Grain';
    }

    public static function hint(): string
    {
        return 'As a film or a sensor has it; smooth parts look pasted';
    }

    public static function family(): Family
    {
        return Family::Air;
    }

    public static function parameters(): array
    {
        return [
            NumberValue::named('strength', 'Strength', 'tone', Unit::Percent, 0, 100, 25, 0.5)->says('How strong it is: at 100 % middle tones differ by a tenth of the way from black to white'),
            NumberValue::named('coarse', 'Size', 'tone', Unit::Pixels, 0, self::COARSEST, 0.5, 0.05)->says('How coarse it is, in pixels of the whole picture: 0 is one pixel'),
            NumberValue::named('colourful', 'In colour', 'tone', Unit::Percent, 0, 100, 20)->says('How much of it differs from channel to channel, as that of a sensor does'),
            NumberValue::named('mids', 'Keeps to the mids', 'ends', Unit::Percent, 0, 100, 60)->says('How much less of it there is in the darkest and in the brightest tones'),
            NumberValue::named('seed', 'Seed', 'ends', Unit::None, 0, 99999, 1),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(self::FULL * $values->number('strength') / 100, $values->number('coarse'), $values->number('colourful') / 100, $values->number('mids') / 100, (int) $values->number('seed'));
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Normal;
    }

    public function layers(Site $site): array
    {
        $grain = new GrainAdded($this->sigma, $this->size, $this->colour, $this->mids, $this->seed, $site->window());

        return $this->sigma <= 0.0 ? [] : [new Layer($site->mode(), new Everywhere, new Graded($grain), new Amount($site->amount()), recolours: true)];
    }
}
