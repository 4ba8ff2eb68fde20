<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Seen\SeenPlate;

/** A plate that covers shadows on the ground, and the ones that fall on it. */
final readonly class Covering
{
    /** @param  list<Field>  $pieces */
    public function __construct(public SeenPlate $plate, public array $pieces = [])
    {
    }

    public function key(): string
    {
        return $this->plate->key().implode(' ', array_map(static fn (Field $piece): string => $piece->identity(), $this->pieces));
    }
}
