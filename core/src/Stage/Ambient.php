<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stage;

use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;

/** The light of the room or sky that reaches everywhere. */
final readonly class Ambient
{
    public const USUAL_LEVEL = -2.5;

    private const LEVELS = [-12.0, 6.0];

    /**
     * @param  float  $level  stops
     * @param  LightColour|null  $colour  null for the scene's white
     * @param  array<string, mixed>  $unknown
     */
    private function __construct(public float $level, public ?LightColour $colour, private array $unknown = [])
    {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        $fields = new Fields($raw ?? [], $field);
        $level = $fields->number('level', self::USUAL_LEVEL, ...self::LEVELS, unit: 'stops');
        $colour = $fields->take('colour');

        return new self($level, $colour === null ? null : LightColour::read($colour, "{$field}.colour"), $fields->rest());
    }

    /** Whether it is as it is when nothing is said. */
    public function isUsual(): bool
    {
        return $this->level === self::USUAL_LEVEL && $this->colour === null && $this->unknown === [];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['level' => $this->level, ...($this->colour === null ? [] : ['colour' => $this->colour->toArray()])] + $this->unknown;
    }
}
