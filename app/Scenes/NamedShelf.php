<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Faults\NotPossible;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Things that are kept by name for every scene, in a table of their own. */
abstract class NamedShelf
{
    public const LONGEST_NAME = 60;

    private const MOST = 300;

    /** The table, and what is kept in it: one, and several. */
    abstract protected function table(): string;

    /** @return list<string> names that are taken from the start */
    abstract protected function ours(): array;

    /** @return list<array<string, mixed>> with id, name and what it is; those from the start have no id */
    abstract public function all(): array;

    public function takeOut(string $id): void
    {
        DB::table($this->table())->where('id', $id)->delete();
    }

    /**
     * @param  array<string, string|null>  $fields
     *
     * @throws NotPossible when the name is taken, or the shelf is full
     */
    protected function put(string $name, array $fields): void
    {
        $name = trim($name);
        DB::transaction(function () use ($name, $fields): void {
            $one = Str::singular($this->table());
            if (in_array($name, $this->ours(), true) || DB::table($this->table())->where('name', $name)->exists()) {
                throw new NotPossible('name', "There is a {$one} called \"{$name}\" already: give this one another name.");
            }
            if (DB::table($this->table())->count() >= self::MOST) {
                throw new NotPossible('name', 'The shelf holds '.self::MOST." {$this->table()}: take one out first.");
            }
            DB::table($this->table())->insert(['id' => Str::lower((string) Str::ulid()), 'name' => $name] + $fields);
        });
    }

    /** @return list<array{id: string, name: string, what: string}> the latest last */
    protected function kept(string $column): array
    {
        return array_values(array_map(
            static fn (object $row): array => ['id' => (string) $row->id, 'name' => (string) $row->name, 'what' => (string) $row->{$column}],
            DB::table($this->table())->orderBy('created_at')->orderBy('id')->get()->all(),
        ));
    }
}
