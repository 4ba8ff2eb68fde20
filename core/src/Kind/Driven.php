<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Stage\Source;
use Aumbrel\Core\Value\Values;

/** A kind of strip that can hang on a source, which then says where its light comes from and what colour it has. */
interface Driven extends StripKind
{
    /** @return list<class-string<Source>> on what it can hang */
    public static function hangsOn(): array;

    /**
     * The values that the source gives it: those in force while it hangs there, and written down when it lets go.
     *
     * @return array<string, mixed>
     */
    public function inForce(Drive $drive): array;

    /**
     * The same with what the source gives it.
     *
     * @param  Values  $own  all its own values
     */
    public function driven(Drive $drive, Values $own): StripKind;
}
