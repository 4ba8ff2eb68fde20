<?php

declare(strict_types=1);

namespace App\Scenes;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Reading\Compass;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;
use Aumbrel\Core\Stage\SceneSource;

/** Changes of what is no strip: of a source, of the stage, of the ambient. Values are merged by their names. */
final class ScenePart
{
    private const REPLACED = ['name', 'level', 'muted'];

    /**
     * @param  array<array-key, mixed>  $change
     * @param  callable(): Pictures  $pictures  of the scene, asked for when something turns
     *
     * @throws SceneError when there is none of that name
     */
    public static function changed(FlatScene $scene, string $name, array $change, callable $pictures): FlatScene
    {
        $part = $scene->part($name);
        $values = FlatScene::fields($change['values'] ?? []);
        if ($name === FlatScene::STAGE) {
            return $scene->withPart($name, array_filter(array_replace($part, $values), static fn (mixed $value): bool => $value !== null));
        }
        if ($name === FlatScene::AMBIENT) {
            return $scene->withPart($name, array_filter(array_replace($part, array_intersect_key($change, ['level' => 0]), $values), static fn (mixed $value): bool => $value !== null));
        }
        $moved = isset($change['turn']) || isset($change['at']) ? self::moved($scene, $name, $change, $pictures) : [];
        $part = array_replace($part, array_intersect_key($change, array_flip(self::REPLACED)));
        $part['values'] = array_replace(FlatScene::fields($part['values'] ?? []), $values, $moved);

        return $scene->withPart($name, $part);
    }

    /**
     * @param  array<array-key, mixed>  $change
     * @param  callable(): Pictures  $pictures
     * @return array<string, mixed> the values that let a source's light come from elsewhere, or let it be seen elsewhere
     */
    private static function moved(FlatScene $scene, string $name, array $change, callable $pictures): array
    {
        $document = Document::read($scene->toDocument(), Registry::kinds());
        $source = $document->source(substr($name, strlen(SceneSource::NAMED))) ?? throw new SceneError('source', "there is no \"{$name}\" in this scene");
        if (isset($change['at'])) {
            return $source->kind::movedTo(self::point($change['at'], 'at'), $document->stage->camera);
        }

        return (new Compass($document, $pictures()))->turningSource($source, self::bearing($change['turn']));
    }

    /** A point that is asked for; a form sends its figures as text. */
    public static function point(mixed $raw, string $name): Point
    {
        return Point::read(is_array($raw) ? array_map(static fn (mixed $value): mixed => is_numeric($value) ? (float) $value : $value, $raw) : $raw, $name);
    }

    /** A direction that is asked for. */
    public static function bearing(mixed $turn): Bearing
    {
        $turn = FlatScene::fields($turn, 'turn');
        $angle = static fn (string $name): float => is_numeric($turn[$name] ?? null) ? (float) $turn[$name] : 0.0;

        return new Bearing($angle('azimuth'), $angle('elevation'));
    }
}
