<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

/** What was measured of one strip in the picture; values 0..1 are encoded. */
final readonly class LightFacts
{
    /**
     * @param  string  $strip  its id
     * @param  float  $most  the largest change that it makes anywhere
     * @param  float  $least  the smallest that it makes anywhere
     * @param  float  $black  of a picture used as light: how bright it is where it is darkest
     * @param  float  $drains  the share of their saturation that it takes from bright places which it darkens
     * @param  float  $edge  how much brighter it is inside its border than outside, where that lies in the picture
     * @param  float|null  $heart  how bright the picture is where it shines; null for what does not
     * @param  float  $around  how bright the picture is around that, where it reaches
     * @param  array<string, float>  $shells  the largest value of each shell with its level, linear, by its word
     * @param  int  $pieces  of what shines
     * @param  int  $vanished  of these, the ones that its heart is too small for
     * @param  float  $keeps  the largest contraction that keeps them all, px
     * @param  float  $cutOff  of a plate: the share of its picture's border at which it is half transparent
     */
    public function __construct(
        public string $strip,
        public float $most = 0.0,
        public float $least = 0.0,
        public float $edge = 0.0,
        public ?float $heart = null,
        public float $around = 0.0,
        public array $shells = [],
        public int $pieces = 0,
        public int $vanished = 0,
        public float $keeps = 0.0,
        public float $cutOff = 0.0,
        public float $black = 0.0,
        public float $drains = 0.0,
    ) {
    }

    /** @param  array<string, mixed>  $raw  as {@see toArray()} gives it */
    public static function read(array $raw): self
    {
        $number = static fn (string $name): float => Measured::number($raw[$name] ?? null);
        $shells = [];
        foreach (is_array($raw['shells'] ?? null) ? $raw['shells'] : [] as $word => $value) {
            $shells[(string) $word] = Measured::number($value);
        }

        return new self(
            is_string($raw['strip'] ?? null) ? $raw['strip'] : '', $number('most'), $number('least'), $number('edge'), isset($raw['heart']) ? $number('heart') : null, $number('around'),
            $shells, (int) $number('pieces'), (int) $number('vanished'), $number('keeps'), $number('cutOff'), $number('black'), $number('drains'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'strip' => $this->strip, 'most' => $this->most, 'least' => $this->least, 'edge' => $this->edge, 'heart' => $this->heart, 'around' => $this->around,
            'shells' => $this->shells, 'pieces' => $this->pieces, 'vanished' => $this->vanished, 'keeps' => $this->keeps, 'cutOff' => $this->cutOff, 'black' => $this->black, 'drains' => $this->drains,
        ];
    }
}
