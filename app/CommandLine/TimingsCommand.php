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
        $parts = [
            'fusedStack' => new StackTimings, 'scene' => new SceneTimings, 'match' => new MatchTimings, 'strokes' => new StrokeTimings,
            'shape' => new ShapeTimings, 'grades' => new GradeTimings, 'body' => new BodyTimings, 'edge' => new EdgeTimings, 'takingIn' => new IntakeTimings,
            ...($arguments->has('no-browser') ? [] : ['browser' => new BrowserTimings]),
        ];
        $timings = [];
        foreach ($parts as $name => $part) {
            $timings[$name] = $part->measure();
            // what a part has kept would crowd out what the next one keeps
            gc_collect_cycles();
        }
        if ($arguments->has('export')) {
            $timings['export'] = (new SceneTimings)->export();
        }
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
