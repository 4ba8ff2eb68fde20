<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A kind of which a new one is confined to the plate that is chosen. */
interface ForPlate extends StripKind
{
}
