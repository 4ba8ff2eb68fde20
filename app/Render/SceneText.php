<?php

declare(strict_types=1);

namespace App\Render;

use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;

/**
 * A scene on its way to the render processes: written down once for all bands of a picture, and named by a hash of its
 * text, so that a process that has read it for one band has it for the others. Strokes stand in it by their names.
 */
final class SceneText
{
    private ?string $text = null;

    /** @var array<string, mixed>|null */
    private ?array $fields = null;

    private function __construct()
    {
    }

    /** @param  array<string, mixed>  $fields  the document */
    public static function of(array $fields): self
    {
        $scene = new self;
        $scene->fields = $fields;

        return $scene;
    }

    public static function read(string $text): self
    {
        $scene = new self;
        $scene->text = $text;

        return $scene;
    }

    public function text(): string
    {
        return $this->text ??= json_encode($this->fields, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE);
    }

    /** @return array<string, mixed> */
    public function fields(): array
    {
        /** @var array<string, mixed> */
        return $this->fields ??= json_decode((string) $this->text, true, 64, JSON_THROW_ON_ERROR);
    }

    public function key(): string
    {
        return hash('xxh128', $this->text());
    }

    /** @throws StrokesMissing when it names strokes that are not held */
    public function document(HeldStrokes $strokes): Scene
    {
        return Scene::read($strokes->in($this->fields()), Registry::kinds());
    }
}
