<?php

declare(strict_types=1);

namespace App\Gestures;

/** The rules of something new that lies well in the part of the scene that is looked at. */
trait Placed
{
    /** @return array<string, string> */
    private static function placing(): array
    {
        return [
            'kind' => 'required|string|max:40',
            'centre' => 'required|array|size:2',
            'centre.*' => 'numeric|between:-1000000,1000000',
            'span' => 'required|numeric|between:1,1000000',
        ];
    }
}
