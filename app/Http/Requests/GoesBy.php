<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Scenes\Seen;
use Illuminate\Http\Request;

/** The revisions that a gesture goes by. Who leaves them out goes by whatever is there. */
final class GoesBy
{
    public static function strip(Request $request, string $strip): Seen
    {
        return Seen::strip($strip, self::revision($request));
    }

    public static function order(Request $request): Seen
    {
        return new Seen(order: self::revision($request));
    }

    public static function revision(Request $request): ?int
    {
        $request->validate(['revision' => 'sometimes|integer|min:0']);

        return $request->has('revision') ? $request->integer('revision') : null;
    }
}
