<?php

declare(strict_types=1);

namespace Aumbrel\Core\Bearing;

/** What an estimate came to: a bearing, or a sentence why there is none. */
final readonly class Estimate
{
    /**
     * @param  Bearing|null  $bearing  null when there is too little to go on
     * @param  float  $spread  68 % half-width, degrees
     * @param  float  $confidence  0..1
     * @param  string|null  $why  said when there is no bearing
     */
    public function __construct(public ?Bearing $bearing, public float $spread, public float $confidence, public ?string $why = null)
    {
    }

    public static function refused(string $why, float $confidence = 0.0): self
    {
        return new self(null, 180.0, $confidence, $why);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'azimuth' => $this->bearing === null ? null : round($this->bearing->azimuth, 2),
            'elevation' => $this->bearing === null ? null : round($this->bearing->elevation, 2),
            'heightAngle' => $this->bearing === null ? null : round($this->bearing->heightAngle(), 2),
            'spread' => round($this->spread, 2), 'confidence' => round($this->confidence, 3), 'method' => Method::Outline->value,
            ...($this->why === null ? [] : ['why' => $this->why]),
        ];
    }
}
