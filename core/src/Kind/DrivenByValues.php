<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Value\Values;

/** For kinds whose values can hold all that a source gives them. */
trait DrivenByValues
{
    public function driven(Drive $drive, Values $own): StripKind
    {
        return self::from(Values::read(Kinds::parametersOf(self::class), [...$own->toArray(), ...$this->inForce($drive)], 'values'));
    }
}
