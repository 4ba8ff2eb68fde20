<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Faults\NotPossible;
use Aumbrel\Core\Ramp\ColourRamp;
use Aumbrel\Core\Ramp\Shelf;

/** Ramps that are kept by name for every scene: those that are there from the start, and those of this shelf. */
final class RampShelf extends NamedShelf
{
    /** @return list<array{id: string|null, name: string, stops: list<array<string, mixed>>, mask: list<array<string, mixed>>}> ours first; `mask` is what a mask makes of it */
    public function all(): array
    {
        $ours = array_map(static fn (string $name, ColourRamp $ramp): array => self::told(null, $name, $ramp), array_keys(Shelf::ours()), array_values(Shelf::ours()));
        $kept = array_map(static fn (array $row): array => self::told($row['id'], $row['name'], ColourRamp::read(json_decode($row['what'], true, 16, JSON_THROW_ON_ERROR), 'stops')), $this->kept('stops'));

        return [...$ours, ...$kept];
    }

    /** @throws NotPossible when the name is taken, or the shelf is full */
    public function keep(string $name, ColourRamp $ramp): void
    {
        $this->put($name, ['stops' => json_encode($ramp->toArray(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)]);
    }

    protected function table(): string
    {
        return 'ramps';
    }

    protected function ours(): array
    {
        return array_map(strval(...), array_keys(Shelf::ours()));
    }

    /** @return array{id: string|null, name: string, stops: list<array<string, mixed>>, mask: list<array<string, mixed>>} */
    private static function told(?string $id, string $name, ColourRamp $ramp): array
    {
        return ['id' => $id, 'name' => $name, 'stops' => $ramp->toArray(), 'mask' => $ramp->asMask()->toArray()];
    }
}
