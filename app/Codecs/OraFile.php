<?php

declare(strict_types=1);

namespace App\Codecs;

use App\Faults\DiskFull;
use DOMDocument;
use DOMElement;
use ZipArchive;

/**
 * OpenRaster files (*OpenRaster File Format Baseline Specification*, freedesktop.org): a ZIP whose first entry is its media type,
 * a stack of layers as XML, the layers as PNG, the merged picture, and a thumbnail.
 */
final class OraFile
{
    public const MEDIA_TYPE = 'image/openraster';

    private const VERSION = '0.0.5';

    /** Sides of the thumbnail at most. */
    public const THUMBNAIL = 256;

    private ZipArchive $zip;

    private DOMDocument $stack;

    private int $layers = 0;

    private function __construct(private readonly string $file, private readonly string $aside)
    {
        $this->zip = new ZipArchive;
        $this->stack = new DOMDocument('1.0', 'UTF-8');
        $this->stack->formatOutput = true;
    }

    /** @throws DiskFull */
    public static function create(string $file, int $columns, int $rows, string $title): self
    {
        $ora = new self($file, $file.'.'.bin2hex(random_bytes(6)));
        if ($ora->zip->open($ora->aside, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw DiskFull::writing('The layered file');
        }
        $ora->put('mimetype', self::MEDIA_TYPE);
        $image = $ora->stack->createElement('image');
        foreach (['version' => self::VERSION, 'name' => $title, 'w' => $columns, 'h' => $rows] as $name => $value) {
            $image->setAttribute($name, (string) $value);
        }
        $image->appendChild($ora->stack->createElement('stack'));
        $ora->stack->appendChild($image);

        return $ora;
    }

    /** The outermost stack. */
    public function root(): DOMElement
    {
        $stack = $this->stack->documentElement?->firstChild;

        return $stack instanceof DOMElement ? $stack : throw new \LogicException('a layered file has a stack');
    }

    /** A group in a stack, over what that has already. */
    public function group(DOMElement $stack, string $name): DOMElement
    {
        $group = $this->stack->createElement('stack');
        $group->setAttribute('name', $name);
        $group->setAttribute('isolation', 'auto');
        // the first one in the file lies on top
        $stack->insertBefore($group, $stack->firstChild);

        return $group;
    }

    /**
     * @param  array{png: string, x: int, y: int}  $picture
     * @param  float  $opacity  0..1
     */
    public function layer(DOMElement $stack, string $name, array $picture, string $operation, float $opacity): void
    {
        $source = sprintf('data/layer%03d.png', $this->layers++);
        $this->put($source, $picture['png']);
        $layer = $this->stack->createElement('layer');
        foreach (['name' => $name, 'src' => $source, 'x' => $picture['x'], 'y' => $picture['y'], 'opacity' => sprintf('%.6F', $opacity), 'composite-op' => $operation, 'visibility' => 'visible'] as $attribute => $value) {
            $layer->setAttribute($attribute, (string) $value);
        }
        $stack->insertBefore($layer, $stack->firstChild);
    }

    /**
     * With the merged picture and a thumbnail it is whole, and takes its place.
     *
     * @throws DiskFull
     */
    public function finish(string $merged, string $thumbnail): void
    {
        $this->put('mergedimage.png', $merged);
        $this->put('Thumbnails/thumbnail.png', $thumbnail);
        $this->zip->addFromString('stack.xml', (string) $this->stack->saveXML());
        if (! @$this->zip->close() || ! @rename($this->aside, $this->file)) {
            @unlink($this->aside);
            throw DiskFull::writing('The layered file');
        }
    }

    /** Pictures are compressed already, and the media type has to be found at its place. */
    private function put(string $name, string $bytes): void
    {
        $this->zip->addFromString($name, $bytes);
        $this->zip->setCompressionName($name, ZipArchive::CM_STORE);
    }
}
