<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Faults\NotPossible;
use Aumbrel\Core\Ramp\ColourRamp;
use Aumbrel\Core\Ramp\Shelf;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Ramps that are kept by name, for every scene: those that are there from the start, and those of this shelf. */
final class RampShelf
{
    public const LONGEST_NAME = 60;

    private const MOST = 300;

    /** @return list<array{id: string|null, name: string, stops: list<array<string, mixed>>, mask: list<array<string, mixed>>}> ours first; `mask` is what a mask makes of it */
    public function all(): array
    {
        $all = [];
        foreach (Shelf::ours() as $name => $ramp) {
            $all[] = self::told(null, $name, $ramp);
        }
        foreach (DB::table('ramps')->orderBy('created_at')->orderBy('id')->get() as $row) {
            $all[] = self::told($row->id, $row->name, ColourRamp::read(json_decode($row->stops, true, 16, JSON_THROW_ON_ERROR), 'stops'));
        }

        return $all;
    }

    /** @throws NotPossible when the name is taken, or the shelf is full */
    public function keep(string $name, ColourRamp $ramp): void
    {
        $name = trim($name);
        DB::transaction(static function () use ($name, $ramp): void {
            if (isset(Shelf::ours()[$name]) || DB::table('ramps')->where('name', $name)->exists()) {
                throw new NotPossible('name', "There is a ramp called \"{$name}\" already: give this one another name.");
            }
            if (DB::table('ramps')->count() >= self::MOST) {
                throw new NotPossible('name', 'The shelf holds '.self::MOST.' ramps: take one out first.');
            }
            DB::table('ramps')->insert(['id' => Str::lower((string) Str::ulid()), 'name' => $name, 'stops' => json_encode($ramp->toArray(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)]);
        });
    }

    public function takeOut(string $id): void
    {
        DB::table('ramps')->where('id', $id)->delete();
    }

    /** @return array{id: string|null, name: string, stops: list<array<string, mixed>>, mask: list<array<string, mixed>>} */
    private static function told(?string $id, string $name, ColourRamp $ramp): array
    {
        return ['id' => $id, 'name' => $name, 'stops' => $ramp->toArray(), 'mask' => $ramp->asMask()->toArray()];
    }
}
