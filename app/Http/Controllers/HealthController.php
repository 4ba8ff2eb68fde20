<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Passphrase;
use App\Http\Tokens;
use App\Models\Export;
use App\Render\Pool\PoolClient;
use App\Storage\DiskRoom;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** Whether the server answers, which start of it this is, and for whom it lets in how it stands. */
final readonly class HealthController
{
    public function __construct(private PoolClient $pool, private Passphrase $passphrase, private Tokens $tokens)
    {
    }

    /** Whether the server answers; and, for whoever is let in, disk, queue, render processes and version. */
    public function __invoke(Request $request): JsonResponse
    {
        $answer = ['answers' => true, 'instance' => config('aumbrel.instance')];
        $isLetIn = ! $this->passphrase->isAsked() || $this->passphrase->wasTold($request) || $this->tokens->isTold($request);

        // the page only asks whether it answers; whoever looks after it asks for all
        return new JsonResponse($isLetIn && $request->boolean('all') ? [...$answer, ...$this->all()] : $answer);
    }

    /** @return array<string, mixed> */
    private function all(): array
    {
        $room = DiskRoom::now();
        $oldest = Export::query()->where('state', Export::WAITING)->min('created_at');
        $stand = $this->pool->stand();

        return [
            'version' => config('aumbrel.version'),
            'disk' => [...$room->told(), 'whole' => (int) $room->whole],
            'queue' => [
                'waiting' => Export::query()->where('state', Export::WAITING)->count(), 'running' => Export::query()->where('state', Export::RUNNING)->count(), 'jobs' => DB::table('jobs')->count(),
                'oldestWaits' => is_string($oldest) ? max(0, (int) now()->diffInSeconds($oldest, true)) : null,
            ],
            'renderProcesses' => $stand === null ? null : ['count' => count($stand['processes']), 'busy' => $stand['busy'], 'waiting' => $stand['waiting']],
        ];
    }
}
