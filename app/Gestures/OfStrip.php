<?php

declare(strict_types=1);

namespace App\Gestures;

/** A gesture that needs nothing but the strip that it is about. */
abstract class OfStrip extends Gesture
{
    public function rules(): array
    {
        return ['strip' => 'required|string|max:40', 'revision' => 'sometimes|integer|min:0'];
    }
}
