<?php

declare(strict_types=1);

namespace Aumbrel\Core\Bearing;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Input\Fields;

/**
 * Where a plate's light comes from, how that was found, and how sure it is; in the plate's own picture, before it is
 * mirrored and turned.
 */
final readonly class FoundBearing
{
    private function __construct(
        public Method $method,
        public Bearing $bearing,
        public float $spread,
        public float $confidence,
        public ?ShadowLine $shadow = null,
    ) {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        $fields = new Fields($raw, $field);
        $by = $fields->take('by');
        $method = (is_string($by) ? Method::tryFrom($by) : null) ?? throw SceneError::expected("{$field}.by", 'one of '.implode(', ', array_column(Method::cases(), 'value')), $by);
        if ($method === Method::ShadowLine) {
            $top = $fields->take('top');
            $shadow = new ShadowLine(
                Point::read($fields->take('base'), "{$field}.base"), Point::read($fields->take('tip'), "{$field}.tip"),
                $top === null ? null : Point::read($top, "{$field}.top"),
            );

            return new self($method, $shadow->bearing($field), $shadow->spread(), $shadow->confidence(), $shadow);
        }
        $bearing = new Bearing($fields->number('azimuth', 0, -180, 180, '°'), $fields->number('elevation', 0, -90, 90, '°'));

        return $method === Method::Sphere
            ? new self($method, $bearing, Method::SPREAD_BY_HAND, 1.0)
            : new self($method, $bearing, $fields->number('spread', 10, 0, 180, '°'), $fields->number('confidence', 0.5, 0, 1, ''));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'by' => $this->method->value, 'azimuth' => round($this->bearing->azimuth, 2), 'elevation' => round($this->bearing->elevation, 2),
            'spread' => round($this->spread, 2), 'confidence' => round($this->confidence, 3),
            ...($this->shadow === null ? [] : $this->shadow->toArray()),
        ];
    }
}
