<?php

declare(strict_types=1);

namespace App\CommandLine\Timings;

use App\CommandLine\NamedScene;
use App\Gestures\ChangeStrip;
use App\Render\HeldStrokes;
use App\Render\RenderRequest;
use App\Scenes\FlatScene;
use App\Scenes\SceneState;
use App\Scenes\SceneStore;
use App\Scenes\StrokeShelf;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;
use Aumbrel\Core\Stroke\Strokes;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** What three hundred recorded strokes cost a draft before its first pixel, and an edit. In a database of its own, in memory. */
final class StrokeTimings
{
    private const STROKES = 300;

    private const POINTS = 400;

    private const ROUNDS = 15;

    /** @return array<string, mixed> */
    public function measure(): array
    {
        NamedScene::application();
        config(['database.connections.timings' => ['driver' => 'sqlite', 'database' => ':memory:', 'foreign_key_constraints' => true], 'database.default' => 'timings']);
        DB::purge();
        Artisan::call('migrate', ['--database' => 'timings', '--force' => true]);
        $store = app(SceneStore::class);
        $scene = $store->create(Document::read($this->document(), Registry::kinds()), []);
        $held = new HeldStrokes;
        $level = 0.0;
        $change = static function (FlatScene $flat) use (&$level): FlatScene {
            return ChangeStrip::changed($flat, 'spot', ['level' => $level = $level > 2 ? 0.0 : $level + 0.01], static fn (): Pictures => new Pictures([]));
        };
        $ask = static function () use ($store, $scene, $change): RenderRequest {
            $flat = $change($store->flat($scene));
            $request = new RenderRequest(RenderRequest::PICTURE, $flat->toDocument(), [], [0.0, 0.0, 640.0, 400.0], 1.0, kept: (new StrokeShelf($scene->id))->texts(...));
            Document::read($flat->toDocument(), Registry::kinds());

            return $request;
        };
        $held->hold($ask()->withStrokes()->strokes);
        $state = app(SceneState::class);

        return [
            'strokes' => self::STROKES, 'points' => self::POINTS, 'unit' => 'ms',
            ...Stopwatch::inTurn([
                'draftAsked' => static function () use ($ask): void {
                    $ask()->pack();
                },
                'draftRead' => static function () use ($ask, $held): void {
                    foreach (RenderRequest::unpack($ask()->pack())->scene->document($held)->strips[1]->masks[0]->values->object('strokes', Strokes::class)->all as $stroke) {
                        $stroke->key();
                    }
                },
                'edit' => static function () use ($store, $scene, $change): void {
                    $store->edit($scene->id, 'Level', $change);
                },
                'editAndState' => static function () use ($store, $scene, $change, $state): void {
                    json_encode($state->of($store->edit($scene->id, 'Level', $change)), JSON_THROW_ON_ERROR);
                },
            ], self::ROUNDS),
        ];
    }

    /** @return array<string, mixed> */
    private function document(): array
    {
        mt_srand(300);
        $strokes = [];
        for ($k = 0; $k < self::STROKES; $k++) {
            $points = [];
            [$x, $y, $turn] = [mt_rand(0, 640), mt_rand(0, 400), mt_rand(0, 628) / 100];
            for ($n = 0; $n < self::POINTS; $n++) {
                $turn += mt_rand(-100, 100) / 500;
                $points[] = [round($x += 2 * cos($turn), 2), round($y += 2 * sin($turn), 2), mt_rand(30, 100) / 100, 8 * $n];
            }
            $strokes[] = ['size' => 20, 'hardness' => 40, 'flow' => 30, 'pressure' => 'flow', 'points' => $points];
        }

        return ['aumbrel' => Document::VERSION, 'title' => 'Strokes', 'size' => [640, 400], 'strips' => [
            ['id' => 'fill', 'kind' => 'fill', 'values' => ['colour' => '#203040']],
            ['id' => 'spot', 'kind' => 'spot', 'values' => ['origin' => [100, 50], 'target' => [400, 300]], 'masks' => [
                ['id' => 'painted', 'kind' => 'strokes', 'values' => ['start' => 'hidden', 'strokes' => $strokes]],
            ]],
        ]];
    }
}
