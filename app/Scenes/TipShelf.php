<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Faults\NotPossible;
use Aumbrel\Core\Stroke\Tip;

/** Brush tips that were made of pictures, kept by name for every scene. */
final class TipShelf extends NamedShelf
{
    /** @return list<array{id: string, name: string, grid: string}> */
    public function all(): array
    {
        return array_map(static fn (array $row): array => ['id' => $row['id'], 'name' => $row['name'], 'grid' => $row['what']], $this->kept('grid'));
    }

    /**
     * @param  string  $grid  as {@see \Aumbrel\Core\Stroke\TipGrid} makes it
     *
     * @throws NotPossible when the name is taken, or the shelf is full
     */
    public function keep(string $name, string $grid): void
    {
        $this->put($name, ['grid' => $grid]);
    }

    protected function table(): string
    {
        return 'tips';
    }

    protected function ours(): array
    {
        return array_column(Tip::cases(), 'value');
    }
}
