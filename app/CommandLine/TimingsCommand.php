<?php

declare(strict_types=1);

namespace App\CommandLine;

use App\CommandLine\Timings\BodyTimings;
use App\CommandLine\Timings\BrowserTimings;
use App\CommandLine\Timings\EdgeTimings;
use App\CommandLine\Timings\GradeTimings;
use App\CommandLine\Timings\IntakeTimings;
use App\CommandLine\Timings\MatchTimings;
use App\CommandLine\Timings\SceneTimings;
use App\CommandLine\Timings\ShapeTimings;
use App\CommandLine\Timings\StackTimings;
use App\CommandLine\Timings\StrokeTimings;

/** aumbrel timings [--no-browser] [--export]: what the engine and the interface take on this machine, as JSON. */
final class TimingsCommand implements Command
{
    public function run(array $words): void
    {
        $arguments = Arguments::read($words, [], ['no-browser', 'export']);
        $timings = [
            'fusedStack' => (new StackTimings)->measure(),
            'scene' => (new SceneTimings)->measure(),
            'match' => (new MatchTimings)->measure(),
            'strokes' => (new StrokeTimings)->measure(),
            'shape' => (new ShapeTimings)->measure(),
            'grades' => (new GradeTimings)->measure(),
            'body' => (new BodyTimings)->measure(),
            'edge' => (new EdgeTimings)->measure(),
            'takingIn' => (new IntakeTimings)->measure(),
            ...($arguments->has('export') ? ['export' => (new SceneTimings)->export()] : []),
            ...($arguments->has('no-browser') ? [] : ['browser' => (new BrowserTimings)->measure()]),
        ];
        echo json_encode($timings, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR), "\n";
    }

    public static function help(): string
    {
        return <<<'TEXT'
            aumbrel timings [--no-browser] [--export]

            What the engine and the interface take on this machine, as JSON.

              --no-browser   leaves the browser out
              --export       adds a 24-megapixel export
            TEXT;
    }
}
