<?php

declare(strict_types=1);

namespace App\Codecs;

use Imagick;

/** What is done to a rendered picture before it is written: brought to a size, sharpened for it, in other colours, with what its source said of itself. */
final readonly class Finish
{
    /** Sigma of the sharpening, pixels of the finished picture; differences of less than this share of white stay. */
    private const SHARPENED_OVER = 0.6;

    private const LEFT_ALONE = 0.006;

    /** What a file says of itself that goes along when that is asked for (Exif 2.32; XMP, ISO 16684-1; IPTC IIM). */
    private const SAID = ['exif', 'xmp', 'iptc'];

    /**
     * @param  array{int, int}|null  $size  columns and rows; null for as it was rendered
     * @param  int  $sharpen  percent
     * @param  string|null  $metadata  the file whose words go along
     */
    public function __construct(public ?array $size = null, public int $sharpen = 0, public Primaries $colours = Primaries::Srgb, public ?string $metadata = null)
    {
    }

    /** In place; the picture is encoded in sRGB. */
    public function onto(Imagick $image): void
    {
        if ($this->size !== null && $this->size !== [$image->getImageWidth(), $image->getImageHeight()]) {
            $image->resizeImage($this->size[0], $this->size[1], Imagick::FILTER_LANCZOS, 1);
        }
        if ($this->sharpen > 0) {
            $image->unsharpMaskImage(0, self::SHARPENED_OVER, $this->sharpen / 100, self::LEFT_ALONE);
        }
        if ($this->colours !== Primaries::Srgb) {
            // it has a profile already: a second one converts
            $image->profileImage('icc', $this->colours->profile());
        }
        if ($this->metadata !== null) {
            $this->tell($image, $this->metadata);
        }
    }

    private function tell(Imagick $image, string $file): void
    {
        $source = new Imagick;
        $source->pingImage($file);
        foreach ($source->getImageProfiles('*', true) as $name => $bytes) {
            if (in_array($name, self::SAID, true) && is_string($bytes)) {
                $image->setImageProfile($name, $name === 'exif' ? PictureHead::upright($bytes) : $bytes);
            }
        }
        $source->clear();
    }
}
