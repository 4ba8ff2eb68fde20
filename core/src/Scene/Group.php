<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Value\Values;

/**
 * Strips held together: one fader and one set of masks over what they do. An open group does it to the picture below, in which
 * its mode counts for nothing; a closed one to nothing, and the outcome is mixed like a plate in the group's mode.
 */
final readonly class Group implements StripKind
{
    use Plain;

    public static function key(): string
    {
        return 'group';
    }

    public static function label(): string
    {
        return 'Group';
    }

    public static function hint(): string
    {
        return 'Strips held together under one fader';
    }

    public static function family(): Family
    {
        return Family::Group;
    }

    public static function parameters(): array
    {
        return [];
    }

    public static function from(Values $values): self
    {
        return new self;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Normal;
    }

    /** What it does is done by the strips in it; how it mixes them is the planner's. */
    public function layers(Site $site): array
    {
        return [];
    }
}
