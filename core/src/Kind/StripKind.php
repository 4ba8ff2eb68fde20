<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Mirror;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\Values;

/**
 * One kind of strip: its values, its words, and the layers that it gives.
 *
 * Adding a kind is a class and a line in the registry; the interface draws its bench from the parameters. What most kinds
 * have in common stands in {@see Plain}.
 */
interface StripKind
{
    /** Its name in the scene file. */
    public static function key(): string;

    /** Its word on the desk. */
    public static function label(): string;

    /** One sentence for the shelf. */
    public static function hint(): string;

    public static function family(): Family;

    /** @return list<Parameter> */
    public static function parameters(): array;

    /** @throws SceneError naming a value that does not go with another one */
    public static function from(Values $values): self;

    /** How it joins what lies below when nothing else is chosen. */
    public function defaultMode(): BlendMode;

    /** @throws SceneError naming a value that does not go with the mode */
    public function check(BlendMode $mode): void;

    /**
     * Values of a new one that lies well in the part of the scene that is looked at.
     *
     * @param  float  $span  the shorter side of that part, in scene pixels
     * @param  string|null  $plate  the plate that it is meant for: the one that is chosen
     * @return array<string, mixed>
     */
    public static function placed(Point $centre, float $span, ?string $plate = null): array;

    /** The level of a new one, in stops, for lights. */
    public static function placedLevel(): float;

    /** The amount of a new one, in percent, for everything but lights. */
    public static function placedAmount(): float;

    /**
     * What it lays over what lies below, back to front; nothing when it does nothing.
     *
     * @return list<Layer>
     */
    public function layers(Site $site): array;

    /**
     * Its values about a line in the scene.
     *
     * @param  Values  $own  all its values
     * @return array<string, mixed>
     */
    public function mirrored(Values $own, Mirror $mirror): array;

    /**
     * Its values, as they stand in JSON, for a picture of another size.
     *
     * @param  array<array-key, mixed>  $values
     * @return array<array-key, mixed>
     */
    public static function carried(array $values, Carry $carry): array;

    /** Why it does nothing where it is, in a sentence; null when it does something. */
    public function problem(Surroundings $around): ?string;

    /**
     * The lines that show its shape on the picture, in scene pixels.
     *
     * @return array<string, list<array{float, float}>> by name
     */
    public function outlines(Stage $stage): array;
}
