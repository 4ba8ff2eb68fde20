<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Some fields of a strip; their ranges are the core's and checked there. */
final class ChangeStrip extends FormRequest
{
    private const FIELDS = ['name', 'mode', 'level', 'amount', 'muted', 'confinedTo', 'values', 'turn', 'masks'];

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['revision' => 'required|integer', 'label' => 'sometimes|string|max:80', ...self::fieldRules()];
    }

    /** @return array<string, string> for a change inside another request */
    public static function fieldRules(string $prefix = ''): array
    {
        return [
            "{$prefix}name" => 'sometimes|string|max:80',
            "{$prefix}mode" => 'sometimes|string|max:40',
            "{$prefix}level" => 'sometimes|numeric',
            "{$prefix}amount" => 'sometimes|numeric',
            "{$prefix}muted" => 'sometimes|boolean',
            "{$prefix}confinedTo" => 'sometimes|nullable|string|max:40',
            "{$prefix}values" => 'sometimes|array',
            "{$prefix}turn" => 'sometimes|array:azimuth,elevation|size:2',
            "{$prefix}turn.*" => 'numeric',
            "{$prefix}masks" => 'sometimes|array|max:16',
            "{$prefix}masks.*" => 'array',
        ];
    }

    /** @return array<string, mixed> */
    public function change(): array
    {
        return $this->only(self::FIELDS);
    }

    public function label(): string
    {
        return $this->has('label') ? $this->string('label')->value() : 'Change '.implode(', ', array_keys($this->change()));
    }
}
