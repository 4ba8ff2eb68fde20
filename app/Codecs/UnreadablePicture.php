<?php

declare(strict_types=1);

namespace App\Codecs;

use RuntimeException;

/** A file that cannot become a plate; the message is a sentence for the person who dropped it. */
final class UnreadablePicture extends RuntimeException
{
}
