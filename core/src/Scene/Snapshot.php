<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;

/** A named variant of a scene: strips, sources, stage, ambient and white as they were. Its size and its pictures are the scene's. */
final readonly class Snapshot
{
    public const MOST = 60;

    /** What a variant may have otherwise. */
    public const HELD = ['strips', 'sources', 'stage', 'ambient', 'white'];

    /** @param  array<string, mixed>  $fields  those of HELD that it has, as in a scene file */
    private function __construct(public string $id, public string $name, public array $fields)
    {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        $fields = new Fields($raw, $field);
        $held = [];
        foreach (self::HELD as $name) {
            if ($fields->has($name)) {
                $held[$name] = $fields->take($name);
            }
        }

        return new self($fields->identifier('id'), $fields->text('name', 'Snapshot', 80), $held);
    }

    /**
     * A scene file as it would be with this variant.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    public function of(array $document): array
    {
        return ['strips' => [], ...$this->fields] + array_diff_key($document, array_flip([...self::HELD, 'snapshots']));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'name' => $this->name, ...$this->fields];
    }
}
