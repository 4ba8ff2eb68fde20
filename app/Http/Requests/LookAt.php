<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Render\Look;
use App\Render\Pool\Priority;
use Illuminate\Contracts\Validation\Validator;
use Illuminate\Foundation\Http\FormRequest;

/** A window of a scene to be rendered, with changes that are not written down yet. */
final class LookAt extends FormRequest
{
    /** Pixels in one answer. */
    private const MOST_PIXELS = 9_000_000;

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'view' => 'required|string|max:64',
            'number' => 'required|integer|min:0',
            'draft' => 'required|boolean',
            'window' => 'required|array|list|size:4',
            'window.*' => 'numeric|between:-1000000,1000000',
            'scale' => 'required|numeric|between:0.001,16',
            'changes' => 'sometimes|array|max:200',
            ...ChangeStrip::fieldRules('changes.*.'),
            'below' => 'sometimes|nullable|string|max:40',
            'solo' => 'sometimes|array|max:200',
            'solo.*' => 'string|max:40',
            'before' => 'sometimes|boolean',
            'mask' => 'sometimes|nullable|string|max:40',
            'tint' => 'sometimes|nullable|string|max:40',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            [, , $width, $height] = $this->window();
            if ($width <= 0 || $height <= 0 || $width * $height * $this->float('scale') ** 2 > self::MOST_PIXELS) {
                $validator->errors()->add('window', 'A window has a width and a height, and at most 9 megapixels at its scale.');
            }
        });
    }

    /** @return array{float, float, float, float} */
    public function window(): array
    {
        return [$this->float('window.0'), $this->float('window.1'), $this->float('window.2'), $this->float('window.3')];
    }

    /** @return array<string, array<string, mixed>> by strip */
    public function changes(): array
    {
        /** @var array<string, array<string, mixed>> */
        return $this->array('changes');
    }

    public function below(): ?string
    {
        $below = $this->input('below');

        return is_string($below) ? $below : null;
    }

    public function look(): Look
    {
        /** @var list<string> $solo */
        $solo = array_values($this->array('solo'));

        $mask = $this->input('mask');

        $tint = $this->input('tint');

        return new Look($this->boolean('before'), $solo, is_string($mask) ? $mask : null, is_string($tint) ? $tint : null);
    }

    public function priority(): Priority
    {
        return $this->boolean('draft') ? Priority::Draft : Priority::Settled;
    }
}
