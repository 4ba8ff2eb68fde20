<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A mask that becomes one of another kind where it is, with the same ramp. */
interface Exchanged extends MaskKind
{
    /** The key of that kind. */
    public static function becomes(): string;

    /** @return array<string, mixed> its values, as they stand in JSON */
    public function exchanged(): array;
}
