<?php

declare(strict_types=1);

namespace App\CommandLine;

use App\Codecs\UnreadablePicture;
use App\Faults\DiskFull;
use App\Faults\Fault;
use Aumbrel\Core\Fault\NotKept;
use Aumbrel\Core\Fault\SceneError;
use Throwable;

/** bin/aumbrel: exit 0 and the result, or exit 2 and one clear line. */
final class Aumbrel
{
    private const BAD_INPUT = 2;

    /** @var array<string, class-string<Command>> */
    private const COMMANDS = ['render' => RenderCommand::class, 'apply' => ApplyCommand::class, 'layers' => LayersCommand::class, 'passes' => PassesCommand::class, 'steps' => StepsCommand::class, 'bearing' => BearingCommand::class, 'readings' => ReadingsCommand::class, 'store' => StoreCommand::class, 'timings' => TimingsCommand::class];

    private const HELP = ['--help', '-h', 'help'];

    /** @param  list<string>  $words */
    public static function run(array $words): int
    {
        if (in_array($words[0] ?? '', self::HELP, true)) {
            return self::help();
        }
        $class = self::COMMANDS[$words[0] ?? ''] ?? null;
        if ($class === null) {
            return self::fail('which command? There are: '.implode(', ', array_keys(self::COMMANDS)).'. aumbrel COMMAND --help tells of each.');
        }
        if (in_array('--help', $words, true)) {
            echo $class::help(), "\n";

            return 0;
        }
        try {
            (new $class)->run(array_slice($words, 1));

            return 0;
        } catch (Problem|SceneError|UnreadablePicture|Fault $problem) {
            return self::fail($problem->getMessage());
        } catch (NotKept $fault) {
            return self::fail(DiskFull::writing(ucfirst($fault->what))->getMessage());
        } catch (Throwable $error) {
            @file_put_contents(NamedScene::root().'/storage/logs/aumbrel.log', gmdate('c')." {$words[0]}: {$error}\n", FILE_APPEND);

            return self::fail('this met a fault of Aumbrel\'s own, and nothing was written. storage/logs/aumbrel.log says more.');
        }
    }

    private static function help(): int
    {
        $lines = ['aumbrel COMMAND ...', ''];
        foreach (self::COMMANDS as $class) {
            $lines[] = '  '.strtok($class::help(), "\n");
        }
        echo implode("\n", [...$lines, '', 'aumbrel COMMAND --help tells of each; docs/command-line.md of all.']), "\n";

        return 0;
    }

    private static function fail(string $message): int
    {
        fwrite(STDERR, 'aumbrel: '.strtr($message, ["\n" => ' '])."\n");

        return self::BAD_INPUT;
    }
}
