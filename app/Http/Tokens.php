<?php

declare(strict_types=1);

namespace App\Http;

use App\Faults\NotPossible;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use stdClass;

/** Tokens that scripts send in place of a session (`Authorization: Bearer`). Only a hash of each is kept. */
final class Tokens
{
    public const LONGEST_NAME = 60;

    private const MOST = 100;

    /** Before a token, so that it is known for what it is where it is found. */
    private const PREFIX = 'aumbrel_';

    /** A token's last use is written down this often, seconds. */
    private const NOTED_EVERY = 60;

    /** @return list<array{id: string, name: string, made: string, used: string|null}> */
    public function all(): array
    {
        return array_values(array_map(static fn (stdClass $row): array => ['id' => (string) $row->id, 'name' => (string) $row->name, 'made' => (string) $row->created_at, 'used' => $row->used_at === null ? null : (string) $row->used_at], DB::table('tokens')->orderBy('id')->get()->all()));
    }

    /** @return string the token; it is told only this once */
    public function make(string $name): string
    {
        if (DB::table('tokens')->count() >= self::MOST) {
            throw new NotPossible('name', 'There are '.self::MOST.' tokens: withdraw one first.');
        }
        $token = self::PREFIX.Str::random(40);
        DB::table('tokens')->insert(['id' => Str::lower((string) Str::ulid()), 'name' => trim($name), 'hash' => hash('sha256', $token), 'created_at' => now()]);

        return $token;
    }

    public function withdraw(string $id): void
    {
        DB::table('tokens')->where('id', $id)->delete();
    }

    /** Whether a request brings a token that holds. */
    public function isTold(Request $request): bool
    {
        $token = $request->bearerToken();
        if ($token === null || ! str_starts_with($token, self::PREFIX)) {
            return false;
        }
        $row = DB::table('tokens')->where('hash', hash('sha256', $token))->first();
        if ($row !== null && ($row->used_at === null || now()->diffInSeconds((string) $row->used_at, true) > self::NOTED_EVERY)) {
            DB::table('tokens')->where('id', $row->id)->update(['used_at' => now()]);
        }

        return $row !== null;
    }
}
