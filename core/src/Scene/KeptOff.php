<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Input\Fields;

/** The plates that a strip stays off: it does not act where they are. Those that are gone count as not named. */
final readonly class KeptOff
{
    private const MOST = 60;

    /** How far an outline is grown, or shrunk below 0, px. */
    private const GROWN = 2000.0;

    private const SOFTEST = 1000.0;

    /**
     * @param  list<string>  $plates  ids
     * @param  float  $grow  px
     * @param  float  $feather  sigma, px
     */
    private function __construct(public array $plates, public float $grow, public float $feather)
    {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        $fields = new Fields($raw, $field);
        $plates = [];
        foreach ($fields->list('plates', self::MOST) as $at => $plate) {
            $plates[] = Fields::isIdentifier($plate) ? $plate : throw SceneError::expected("{$field}.plates[{$at}]", 'the id of a plate', $plate);
        }

        return new self(array_values(array_unique($plates)), $fields->number('grow', 0, -self::GROWN, self::GROWN, 'px'), $fields->number('feather', 0, 0, self::SOFTEST, 'px'));
    }

    /** As it stands in JSON, for a picture of another size. */
    public static function carried(mixed $raw, Carry $carry): mixed
    {
        return Carry::fields($raw, ['grow' => static fn (mixed $length): mixed => $carry->length($length, -self::GROWN, self::GROWN), 'feather' => static fn (mixed $length): mixed => $carry->length($length, 0, self::SOFTEST)]);
    }

    /** @return array{plates: list<string>, grow: float, feather: float} */
    public function toArray(): array
    {
        return ['plates' => $this->plates, 'grow' => $this->grow, 'feather' => $this->feather];
    }
}
