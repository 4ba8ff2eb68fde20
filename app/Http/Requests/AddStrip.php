<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Aumbrel\Core\Geometry\Point;
use Illuminate\Foundation\Http\FormRequest;

/** A new strip or mask, and the part of the scene that is looked at. */
final class AddStrip extends FormRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'kind' => 'required|string|max:40',
            'centre' => 'required|array|size:2',
            'centre.*' => 'numeric|between:-1000000,1000000',
            'span' => 'required|numeric|between:1,1000000',
            'on' => 'sometimes|string|max:10',
            'join' => 'sometimes|string|max:20',
            'values' => 'sometimes|array',
            'above' => 'sometimes|nullable|string|max:40',
        ];
    }

    public function kind(): string
    {
        return $this->string('kind')->value();
    }

    public function centre(): Point
    {
        return new Point($this->float('centre.0'), $this->float('centre.1'));
    }

    public function span(): float
    {
        return $this->float('span');
    }

    /** @return array<mixed> what of a new mask is not as with any */
    public function fields(): array
    {
        return $this->only(['on', 'join', 'values']);
    }

    public function above(): ?string
    {
        $above = $this->input('above');

        return is_string($above) ? $above : null;
    }
}
