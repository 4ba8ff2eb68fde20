<?php

declare(strict_types=1);

namespace App\CommandLine;

use Aumbrel\Core\Reading\Reading;
use Aumbrel\Core\Reading\Readings;
use Aumbrel\Core\Render\SceneStudy;

/** What is noticed in a scene, as a list. */
final class ReadingsCommand implements Command
{
    public function run(array $words): void
    {
        $arguments = Arguments::read($words, [], []);
        $named = NamedScene::open(count($arguments->plain) === 1 ? $arguments->plain[0] : throw new Problem('readings SCENE'));
        $renderer = $named->renderer();
        $facts = (new SceneStudy($renderer, $named->pictures))->of($named->scene);
        $readings = array_map(static fn (Reading $reading): array => $reading->toArray(), (new Readings($named->scene, $renderer->measures(), $facts))->all());
        echo json_encode($readings, JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES), "\n";
    }

    public static function help(): string
    {
        return <<<'TEXT'
            aumbrel readings SCENE

            What is noticed in a scene, as a JSON list, with the mends that would help.
            TEXT;
    }
}
