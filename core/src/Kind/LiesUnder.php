<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A kind of which a new one lies under the plate that it is meant for: that covers it. */
interface LiesUnder extends StripKind
{
}
