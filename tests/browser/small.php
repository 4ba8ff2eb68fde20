<?php

declare(strict_types=1);

/* A plate of the demo in small, as wide as is said: php tests/browser/small.php FILE WIDTH OUT */
[, $file, $width, $out] = $argv;
$picture = new Imagick($file);
$picture->resizeImage((int) $width, 0, Imagick::FILTER_LANCZOS, 1);
$picture->writeImage($out);
