<?php

declare(strict_types=1);

namespace App\Http;

use Attribute;
use ReflectionMethod;

/** What a request is asked with: checked before the method runs, and written out as the description of the API. */
#[Attribute(Attribute::TARGET_METHOD)]
final readonly class Takes
{
    /**
     * @param  array<string, mixed>  $fields  rules by field
     * @param  class-string|null  $of  with more of them, by its `rules()`
     * @param  bool  $file  whether it takes a file too, as one of a form or by the name of one that was taken in
     */
    public function __construct(public array $fields = [], public ?string $of = null, public bool $file = false)
    {
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $more = $this->of !== null && method_exists($this->of, 'rules') ? $this->of::rules() : [];

        return [...$this->fields, ...(is_array($more) ? $more : [])];
    }

    /** What a method of a controller takes; null when it says nothing of it. */
    public static function by(ReflectionMethod $method): ?self
    {
        $said = $method->getAttributes(self::class)[0] ?? null;

        return $said?->newInstance();
    }
}
