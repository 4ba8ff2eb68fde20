<?php

declare(strict_types=1);

namespace App\CommandLine;

use App\Codecs\UnreadablePicture;
use Aumbrel\Core\Scene\SceneError;
use Throwable;

/** bin/aumbrel: exit 0 and the result, or exit 2 and one clear line. */
final class Aumbrel
{
    private const BAD_INPUT = 2;

    /** @var array<string, class-string<Command>> */
    private const COMMANDS = ['render' => RenderCommand::class, 'bearing' => BearingCommand::class, 'readings' => ReadingsCommand::class, 'timings' => TimingsCommand::class];

    /** @param  list<string>  $words */
    public static function run(array $words): int
    {
        $class = self::COMMANDS[$words[0] ?? ''] ?? null;
        if ($class === null) {
            return self::fail('which command? There are: '.implode(', ', array_keys(self::COMMANDS)).'. See docs/command-line.md.');
        }
        try {
            (new $class)->run(array_slice($words, 1));

            return 0;
        } catch (Problem|SceneError|UnreadablePicture $problem) {
            return self::fail($problem->getMessage());
        } catch (Throwable $error) {
            return self::fail("unexpectedly: {$error->getMessage()}");
        }
    }

    private static function fail(string $message): int
    {
        fwrite(STDERR, 'aumbrel: '.strtr($message, ["\n" => ' '])."\n");

        return self::BAD_INPUT;
    }
}
