<?php

declare(strict_types=1);

namespace App\Render;

use App\Models\Scene;
use App\Render\Pool\Dropped;
use App\Render\Pool\Priority;
use App\Render\Pool\Ticket;
use Aumbrel\Core\Reading\SceneFacts;
use Illuminate\Support\Facades\Cache;

/** What a render process has measured of a stored scene; kept for an hour by what the scene holds. */
final readonly class SceneStudies
{
    private const KEPT_SECONDS = 3600;

    public function __construct(private RenderRequests $requests, private RenderService $renders)
    {
    }

    /** Null when something newer came in between. */
    public function of(Scene $scene): ?SceneFacts
    {
        $ask = $this->requests->of($scene, RenderRequest::FACTS, [0.0, 0.0, 1.0, 1.0], 1.0);
        // by what it looks like, not by its revision: undo and redo come back to what was measured
        $key = "facts {$scene->id} ".hash('xxh128', $ask->scene->key().json_encode($ask->pictures, JSON_THROW_ON_ERROR));
        $kept = Cache::get($key);
        if (! is_string($kept)) {
            $read = $this->renders->render($ask, new Ticket(Priority::Facts, "facts {$scene->id}", $scene->revision));
            if ($read instanceof Dropped) {
                return null;
            }
            Cache::put($key, $kept = $read->bytes, self::KEPT_SECONDS);
        }
        /** @var array<string, mixed> $facts as a render process writes it */
        $facts = json_decode($kept, true, 8, JSON_THROW_ON_ERROR);

        return SceneFacts::read($facts);
    }
}
