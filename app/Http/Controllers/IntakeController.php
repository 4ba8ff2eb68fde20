<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\ErrorReplies;
use App\Http\Takes;
use App\Http\Upload;
use App\Render\Pool\Answer;
use App\Render\Pool\PoolClient;
use App\Render\Pool\Priority;
use App\Render\Pool\TakeIn;
use App\Render\Pool\Ticket;
use App\Scenes\Intake;
use App\Scenes\PackedScene;
use App\Scenes\PictureLibrary;
use App\Scenes\SceneImport;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Files that come in part by part, and are decoded before a scene or a plate is made of them. */
final class IntakeController
{
    /** How often whoever waits is told how far it is. */
    private const WORD_SECONDS = 0.2;

    /** Announces a file that comes in parts. */
    #[Takes(['name' => 'required|string|max:300', 'size' => 'required|integer'])]
    public function begin(Request $request): JsonResponse
    {
        $intake = Intake::begin(Upload::plainName($request->string('name')->value()), $request->integer('size'));

        return new JsonResponse(['id' => $intake->id, 'took' => 0, 'part' => Intake::PART], 201);
    }

    /** How much of a file has come. */
    public function show(string $intake): JsonResponse
    {
        $found = self::find($intake);

        return new JsonResponse(['id' => $found->id, 'took' => $found->took(), 'part' => Intake::PART]);
    }

    /** The body is the part, as it is. */
    #[Takes(['from' => 'required|integer|min:0'])]
    public function put(Request $request, string $intake): JsonResponse
    {
        $part = $request->getContent();
        abort_if(strlen($part) > Intake::PART, 413, 'A part has at most 4 MB.');

        return new JsonResponse(['took' => self::find($intake)->put($request->integer('from'), $part)]);
    }

    /** Gives up a file that was coming. */
    public function drop(string $intake): Response
    {
        Intake::find($intake)?->drop();

        return new Response(status: 204);
    }

    /**
     * Decodes what has come. Answers with lines of JSON: `progress` 0..1 while it goes on, at last `done`, or the `problem`
     * with the `status` that it would have had. Who goes away ends it.
     */
    public function read(string $intake, PoolClient $pool, PictureLibrary $library): StreamedResponse
    {
        $found = self::find($intake);
        $file = $found->whole();

        return new StreamedResponse(static function () use ($found, $file, $pool, $library): void {
            set_time_limit(0);
            // scenes bring their pictures along; those are decoded when the scene is made
            $isScene = PackedScene::isOne($file->path) || SceneImport::isSceneFile($file->path);
            self::say(($isScene ? null : self::decode($found, new TakeIn($file->path, $file->name, $found->progressFile()), $pool, $library)) ?? ['done' => true]);
        }, 200, ['Content-Type' => 'application/x-ndjson', 'Cache-Control' => 'no-store', 'X-Accel-Buffering' => 'no']);
    }

    /** @return array{status: int, problem: string}|null what went wrong */
    private static function decode(Intake $intake, TakeIn $work, PoolClient $pool, PictureLibrary $library): ?array
    {
        $waiting = $pool->errand($work->pack(), new Ticket(Priority::Intake, "intake {$intake->id}", 0));
        while ($waiting !== null && ! $waiting->isOver()) {
            foreach ($waiting->take(self::WORD_SECONDS) as $answer) {
                if (Answer::tryFrom($answer[0] ?? '') === Answer::Took) {
                    /** @var array{status: int, problem: string}|null */
                    return json_decode(substr((string) $answer, 1), true, 4, JSON_THROW_ON_ERROR);
                }
            }
            self::say(['progress' => $intake->progress()]);
        }

        // no process took it: it is decoded here, slower but right
        return $work->done($library, static fn () => self::say(['progress' => $intake->progress()]), ErrorReplies::words(...));
    }

    /** @param  array<string, mixed>  $line */
    private static function say(array $line): void
    {
        echo json_encode($line, JSON_THROW_ON_ERROR), "\n";
        if (ob_get_level() > 0) {
            ob_flush();
        }
        flush();
    }

    private static function find(string $id): Intake
    {
        return Intake::find($id) ?? abort(404, 'This file is no longer being taken in. Bring it again.');
    }
}
