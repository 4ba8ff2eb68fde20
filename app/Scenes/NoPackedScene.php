<?php

declare(strict_types=1);

namespace App\Scenes;

use RuntimeException;

/** A ZIP that is no packed scene, or a damaged or hostile one; the message goes on behind the name of the file. */
final class NoPackedScene extends RuntimeException
{
}
