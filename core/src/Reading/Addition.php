<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

/** A strip that a mend adds. */
final readonly class Addition
{
    /**
     * @param  array{kind: string, values: array<string, mixed>, mode?: string, masks?: list<array<string, mixed>>}  $strip  as in a scene file
     * @param  string|null  $confinedTo  a plate
     * @param  string|null  $under  the strip that it lies right under; null on top of everything
     */
    public function __construct(public string $name, public array $strip, public ?string $confinedTo = null, public ?string $under = null)
    {
    }
}
