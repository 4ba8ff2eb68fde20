<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Codecs\OraReader;
use App\Faults\DiskFull;
use App\Files\Folder;
use App\Models\Picture;
use App\Models\Scene;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Out\Operation;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;

/**
 * A layered file (OpenRaster) becomes a scene: each layer a plate with its place, its opacity and its mode, each stack a group.
 *
 * @phpstan-import-type OraLayer from OraReader
 */
final readonly class LayeredImport
{
    /** Operations that are not ours and are near enough to lay a layer over what is there. */
    private const NEARLY = ['svg:src-atop' => BlendMode::Normal];

    public function __construct(private SceneStore $store, private PictureLibrary $library)
    {
    }

    /**
     * @return array{Scene, string|null} the scene, and what could not be taken as it was
     *
     * @throws DiskFull
     */
    public function of(IncomingPicture $file): array
    {
        return Folder::temporary(function (string $folder) use ($file): array {
            $read = OraReader::read($file->path, $folder, $file->name);
            $pictures = $unknown = [];
            $strips = $this->strips($read['layers'], $pictures, $unknown);
            // what lies under everything is the place: a press on it chooses nothing
            if ($strips[0]['kind'] === 'plate') {
                $strips[0]['locked'] = true;
            }
            $scene = $this->store->create(Document::read(['aumbrel' => Document::VERSION, 'title' => $file->title(), 'size' => [$read['width'], $read['height']], 'strips' => $strips], Registry::kinds()), $pictures);

            return [$scene, $unknown === [] ? null : 'Mixed in normal, as Aumbrel has no such mode: '.implode(', ', array_map(static fn (string $operation, string $name): string => "{$name} ({$operation})", $unknown, array_keys($unknown))).'.'];
        });
    }

    /**
     * @param  list<OraLayer>  $layers
     * @param  array<string, Picture>  $pictures  by name, added to
     * @param  array<string, string>  $unknown  operations that are not known, by the layer's name, added to
     * @return list<array<string, mixed>>
     */
    private function strips(array $layers, array &$pictures, array &$unknown): array
    {
        $strips = [];
        foreach ($layers as $layer) {
            $mode = Operation::mode($layer['operation']) ?? self::NEARLY[$layer['operation']] ?? null;
            $name = $layer['name'] === '' ? ($layer['file'] === null ? 'Group' : 'Layer') : $layer['name'];
            if ($mode === null) {
                $unknown[$name] = $layer['operation'];
            }
            $strip = ['id' => FlatScene::newId(), 'name' => $name, 'mode' => ($mode ?? BlendMode::Normal)->value, 'amount' => 100 * $layer['opacity'], 'muted' => ! $layer['visible']];
            if ($layer['file'] === null) {
                /** @var list<OraLayer> $inner */
                $inner = $layer['layers'];
                // a stack that mixes by itself is put together over nothing first
                $isClosed = $layer['isolated'] || $layer['opacity'] < 1 || ($mode !== null && $mode !== BlendMode::Normal);
                $strips[] = [...$strip, 'kind' => 'group', ...($isClosed ? ['closed' => true] : []), 'strips' => $this->strips($inner, $pictures, $unknown)];

                continue;
            }
            $picture = $this->library->take($layer['file'], "{$name}.png");
            $called = sprintf('layer-%03d.%s', count($pictures) + 1, $picture->format);
            $pictures[$called] = $picture;
            $strips[] = [...$strip, 'kind' => 'plate', 'values' => ['picture' => $called, 'place' => [$layer['x'] + $picture->width / 2, $layer['y'] + $picture->height / 2], 'pivot' => [$picture->width / 2, $picture->height / 2]]];
        }

        return $strips;
    }
}
