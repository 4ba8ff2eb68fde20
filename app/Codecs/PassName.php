<?php

declare(strict_types=1);

namespace App\Codecs;

/** Which pass of a render something is, by what it is called: a layer of an EXR file, or a file of its own (common practice, no source). */
final class PassName
{
    private const NAMES = [
        'normals' => '/^(.*[._ -])?(normals?|n|nrm|nor)$/i',
        'depth' => '/^(.*[._ -])?(depth|z|zdepth)$/i',
        'occlusion' => '/^(.*[._ -])?(ao|occlusion|ambient[_ -]?occlusion|ambocc)$/i',
    ];

    /** The plate's value that names such a picture; null for anything else. */
    public static function of(string $name): ?string
    {
        foreach (self::NAMES as $pass => $names) {
            if (preg_match($names, $name) === 1) {
                return $pass;
            }
        }

        return null;
    }
}
