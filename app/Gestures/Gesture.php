<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\Seen;
use Illuminate\Support\Str;
use ReflectionClass;

/**
 * One thing that the hand can do to a scene: what it is asked with, what it is called, which revisions it goes by, and what it
 * does to the flat scene. It is asked for by its name, which follows from the class; nothing else knows gestures one by one.
 */
abstract class Gesture
{
    /** @return class-string<Gesture>|null the gesture of a name, such as `add-strip` */
    public static function named(string $name): ?string
    {
        $class = __NAMESPACE__.'\\'.Str::studly($name);

        if (! class_exists($class) || ! is_subclass_of($class, self::class)) {
            return null;
        }
        $found = new ReflectionClass($class);

        // names of classes are found in any case once they are loaded
        return $found->isAbstract() || Str::kebab(class_basename($found->getName())) !== $name ? null : $found->getName();
    }

    /** @return array<string, string> of the fields that it is asked with; ranges of values are the core's and checked there */
    abstract public function rules(): array;

    /** What the history calls it. */
    abstract public function label(Asked $asked): string;

    /** What it goes by: most gestures by the strip that they change. */
    public function seen(Asked $asked): Seen
    {
        return $asked->has('strip') ? Seen::strip($asked->strip(), $asked->revision()) : new Seen;
    }

    /** What has to be found out before the scene is held, for {@see Asked::found()}. */
    public function find(Asked $asked): mixed
    {
        return null;
    }

    /** @throws \Aumbrel\Core\Fault\SceneError when it cannot be done */
    abstract public function onto(FlatScene $scene, Asked $asked): FlatScene;
}
