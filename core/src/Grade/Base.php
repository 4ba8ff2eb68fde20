<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Placed;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Proposes;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Value\Values;

/** The base exposure of everything below: under or over, drained, with lowered whites and raised blacks. */
final readonly class Base implements Proposes
{
    use Recolours;

    private const ROOM_STOPS = -1.5;

    /** In little light the eye sees less colour (common practice, no source), percent. */
    private const ROOM_DRAINED = 20;

    public function __construct(public BaseTone $tone)
    {
    }

    public static function key(): string
    {
        return 'base';
    }

    public static function label(): string
    {
        return 'Base';
    }

    public static function hint(): string
    {
        return 'Everything below darker, drained, ready for light';
    }

    public static function parameters(): array
    {
        return BaseTone::parameters();
    }

    public static function from(Values $values): self
    {
        return new self(BaseTone::from($values));
    }

    /** A night base: about two stops under, drained by 40 % (common practice, no source). */
    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['exposure' => -2, 'drained' => 40];
    }

    /** Before a lamp is lit, its room lies a stop and a half lower. */
    public static function proposals(Placed $placed): array
    {
        return $placed->source->kind->place($placed->stage->camera) === null ? []
            : [new Proposal('room', 'Room lowered', self::class, ['exposure' => self::ROOM_STOPS, 'drained' => self::ROOM_DRAINED], order: -100)];
    }

    private function grade(Site $site): Grade
    {
        return $this->tone;
    }
}
