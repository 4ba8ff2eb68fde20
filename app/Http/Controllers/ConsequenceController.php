<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\PictureAnswer;
use App\Models\Scene;
use App\Render\Belonging;
use App\Render\Pool\Priority;
use App\Render\Pool\Ticket;
use App\Render\RenderRequest;
use App\Render\RenderRequests;
use App\Render\RenderService;
use App\Scenes\SceneStore;
use Aumbrel\Core\Kind\Proposal;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\Response as AnyResponse;

/** The sheet of what belongs to a source: each proposal with a small picture of what it would add, on the scene as it is. */
final class ConsequenceController
{
    private const SIZE = 120;

    public function __construct(private readonly SceneStore $store, private readonly RenderRequests $requests, private readonly RenderService $renders, private readonly Belonging $belonging)
    {
    }

    /** What belongs to a source, with small pictures. */
    public function __invoke(Scene $scene, string $source): AnyResponse
    {
        $proposals = $this->belonging->of($scene, $source);
        if ($proposals === []) {
            return new Response(status: 204);
        }
        $ids = array_map(static fn (int $at): string => "proposal{$at}", array_keys($proposals));
        $flat = Belonging::taken($this->store->flat($scene), $source, $proposals, static fn (Proposal $proposal): string => $ids[(int) array_search($proposal, $proposals, true)]);
        $scale = self::SIZE / max($scene->width, $scene->height);
        $ask = $this->requests->of($scene, RenderRequest::CONTRIBUTIONS, null, $scale, $ids, flat: $flat);
        $told = array_map(static fn (Proposal $proposal, string $id): array => ['key' => $proposal->key, 'strip' => $id, 'name' => $proposal->name, 'ticked' => $proposal->ticked, 'level' => $proposal->level], $proposals, $ids);

        return (new PictureAnswer($this->renders->pieces($ask, new Ticket(Priority::Settled, "consequence {$scene->id} {$source}", $scene->revision)), $ask->window()->rows, ['proposals' => $told]))->respond();
    }
}
