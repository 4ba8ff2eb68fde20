<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Gestures\ChangeStrip;
use App\Http\ListLimits;
use App\Http\Middleware\PageSession;
use App\Models\Scene;
use App\Render\Look;
use App\Render\Pool\Priority;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Render\Shown;
use Illuminate\Contracts\Validation\Validator;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A window of a scene to be rendered, with changes that are not written down yet. */
final class LookAt extends FormRequest
{
    /** Pixels in one answer. */
    private const MOST_PIXELS = 9_000_000;

    private const LONGEST_SIDE = 16_000;

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
            'changes.*' => 'array',
            ...ChangeStrip::fieldRules('changes.*.'),
            'below' => 'sometimes|nullable|string|max:40',
            'solo' => 'sometimes|array|max:200',
            'solo.*' => 'string|max:40',
            'before' => 'sometimes|boolean',
            'snapshot' => 'sometimes|nullable|string|max:40',
            'mask' => 'sometimes|nullable|string|max:40',
            'over' => 'sometimes|boolean',
            'tint' => 'sometimes|nullable|string|max:40',
            'form' => 'sometimes|nullable|string|max:40',
            'as' => ['sometimes', Rule::enum(Shown::class)],
            'alone' => 'sometimes|nullable|string|max:40',
        ];
    }

    /** @return array<string, mixed> */
    protected function validationRules(): array
    {
        $rules = $this->rules();
        ListLimits::check($this->validationData(), $rules);

        return RulesOfWhatCame::of($rules, $this->validationData());
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            [$x, $y, $width, $height] = $this->window();
            if ($width <= 0 || $height <= 0) {
                $validator->errors()->add('window', 'A window has a width and a height above 0.');

                return;
            }
            $window = new Window($x, $y, $width, $height, $this->float('scale'));
            if ($window->columns * $window->rows > self::MOST_PIXELS || max($window->columns, $window->rows) > self::LONGEST_SIDE) {
                $validator->errors()->add('window', 'A window has at most 9 megapixels at its scale, and no side above 16,000 of them.');
            }
        });
    }

    /** @return array{float, float, float, float} */
    public function window(): array
    {
        return [$this->float('window.0'), $this->float('window.1'), $this->float('window.2'), $this->float('window.3')];
    }

    /** @return array<array-key, array<string, mixed>> by strip */
    public function changes(): array
    {
        /** @var array<array-key, array<string, mixed>> */
        return $this->array('changes');
    }

    public function below(): ?string
    {
        $below = $this->input('below');

        return is_string($below) ? $below : null;
    }

    /** The variant of the scene that is looked at in its place. */
    public function snapshot(): ?string
    {
        $snapshot = $this->input('snapshot');

        return is_string($snapshot) ? $snapshot : null;
    }

    public function shown(): Shown
    {
        return $this->enum('as', Shown::class) ?? Shown::Colours;
    }

    /** The strip of which only what it adds is wanted. */
    public function alone(): ?string
    {
        $alone = $this->input('alone');

        return is_string($alone) ? $alone : null;
    }

    /** The mask that is looked at by itself, or over the picture as a tint. */
    public function mask(): ?string
    {
        $mask = $this->input('mask');

        return is_string($mask) ? $mask : null;
    }

    public function look(): Look
    {
        /** @var list<string> $solo */
        $solo = array_values($this->array('solo'));

        [$tint, $form] = [$this->input('tint'), $this->input('form')];

        return new Look($this->boolean('before'), $solo, is_string($tint) ? $tint : null, is_string($form) ? $form : null);
    }

    /**
     * The view as the render processes know it. Names of the server's own views cannot be made up from outside, and the
     * numbers of one browser do not make those of another needless.
     */
    public function view(Scene $scene): string
    {
        return 'look '.hash('xxh128', (string) $this->cookies->get(PageSession::COOKIE))." {$scene->id} {$this->string('view')}";
    }

    public function priority(): Priority
    {
        return $this->boolean('draft') ? Priority::Draft : Priority::Settled;
    }
}
