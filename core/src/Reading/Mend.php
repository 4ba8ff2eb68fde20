<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

/** A correction that a reading offers: values and fields of one strip, a strip that is added, or the reading accepted as it is. */
final readonly class Mend
{
    public const ACCEPT = 'accept';

    /**
     * @param  array<string, mixed>  $values  by name
     * @param  array<string, mixed>  $fields  of the strip itself, such as its mode or its level
     * @param  list<Mend>  $also  of other strips, in the same step
     * @param  Addition|null  $adds  a strip for it
     */
    public function __construct(public string $key, public string $label, public ?string $strip = null, public array $values = [], public array $fields = [], public array $also = [], public ?Addition $adds = null)
    {
    }

    /** Adds a strip. */
    public static function adding(string $key, string $label, Addition $adds): self
    {
        return new self($key, $label, adds: $adds);
    }
}
