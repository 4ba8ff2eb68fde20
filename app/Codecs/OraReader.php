<?php

declare(strict_types=1);

namespace App\Codecs;

use App\Faults\DiskFull;
use DOMDocument;
use DOMElement;
use ZipArchive;

/**
 * Reads OpenRaster files (*OpenRaster File Format Baseline Specification*, freedesktop.org): the size, and the stack of layers
 * with their pictures. What the ZIP says of its entries is not believed, and nothing outside of it is read.
 *
 * @phpstan-type OraLayer array{name: string, x: int, y: int, opacity: float, visible: bool, operation: string, file: string|null, isolated: bool, layers: list<array<string, mixed>>}
 */
final class OraReader
{
    private const MOST_LAYERS = 190;

    /** Bytes that come out of it in all, and of its stack. */
    private const MOST_BYTES = 2 * 1024 ** 3;

    private const LARGEST_STACK = 4 * 1024 ** 2;

    private int $layers = 0;

    private int $bytes = 0;

    /** Stacks within stacks. */
    private const DEEPEST = 12;

    private function __construct(private readonly ZipArchive $zip, private readonly string $folder, private readonly string $name)
    {
    }

    /** Whether a file is one, by its content: its first entry says so, uncompressed. */
    public static function isOne(string $file): bool
    {
        $head = (string) @file_get_contents($file, length: 200);

        return str_starts_with($head, "PK\x03\x04") && str_contains(substr($head, 30, 100), 'mimetype'.OraFile::MEDIA_TYPE);
    }

    /**
     * @param  string  $folder  an empty one, that takes the pictures
     * @param  string  $name  what the person calls the file, for messages only
     * @return array{width: int, height: int, layers: list<OraLayer>} back to front
     *
     * @throws UnreadablePicture|DiskFull
     */
    public static function read(string $file, string $folder, string $name): array
    {
        $zip = new ZipArchive;
        if ($zip->open($file, ZipArchive::RDONLY) !== true) {
            throw new UnreadablePicture("{$name} could not be read: the file seems to be damaged. Copy or export it again.");
        }
        $reader = new self($zip, $folder, $name);
        $image = $reader->stack();
        $number = static fn (string $of): int => preg_match('/^\d{1,6}$/D', $image->getAttribute($of)) === 1 ? (int) $image->getAttribute($of) : 0;
        [$width, $height] = [$number('w'), $number('h')];
        if ($width < 1 || $height < 1) {
            throw new UnreadablePicture("{$name} has a damaged stack: its size cannot be read.");
        }
        foreach ($image->childNodes as $child) {
            if ($child instanceof DOMElement && $child->tagName === 'stack') {
                $layers = $reader->layers($child, 0, 0, 0);

                return $layers === [] ? throw new UnreadablePicture("{$name} has no layers.") : ['width' => $width, 'height' => $height, 'layers' => $layers];
            }
        }
        throw new UnreadablePicture("{$name} has no layers.");
    }

    /** @throws UnreadablePicture */
    private function stack(): DOMElement
    {
        $about = $this->zip->statName('stack.xml');
        $xml = is_array($about) && $about['size'] <= self::LARGEST_STACK ? $this->zip->getFromName('stack.xml', self::LARGEST_STACK + 1) : false;
        $document = new DOMDocument;
        // a document type could name files and grow without end
        $isRead = is_string($xml) && $xml !== '' && ! str_contains($xml, '<!DOCTYPE') && ! str_contains($xml, '<!ENTITY') && @$document->loadXML($xml, LIBXML_NONET | LIBXML_NOERROR | LIBXML_NOWARNING);
        $image = $isRead ? $document->documentElement : null;

        return $image instanceof DOMElement && $image->tagName === 'image' ? $image : throw new UnreadablePicture("{$this->name} has a damaged stack: its layers cannot be read.");
    }

    /**
     * @return list<OraLayer> back to front
     *
     * @throws UnreadablePicture
     */
    private function layers(DOMElement $stack, int $x, int $y, int $depth): array
    {
        if ($depth > self::DEEPEST) {
            throw new UnreadablePicture("{$this->name} holds stacks within more than ".self::DEEPEST.' stacks.');
        }
        $layers = [];
        foreach ($stack->childNodes as $child) {
            if (! $child instanceof DOMElement || ! in_array($child->tagName, ['layer', 'stack'], true)) {
                continue;
            }
            if (++$this->layers > self::MOST_LAYERS) {
                throw new UnreadablePicture("{$this->name} has more than ".self::MOST_LAYERS.' layers.');
            }
            // a stack's place counts for what it holds (version 0.0.2 of the specification on)
            [$left, $top] = [$x + $this->whole($child, 'x'), $y + $this->whole($child, 'y')];
            $layers[] = [
                'name' => mb_substr(trim((string) preg_replace('/[\x00-\x1F]+/', ' ', $child->getAttribute('name'))), 0, 80),
                'x' => $left, 'y' => $top,
                'opacity' => is_numeric($child->getAttribute('opacity')) ? max(0.0, min(1.0, (float) $child->getAttribute('opacity'))) : 1.0,
                'visible' => $child->getAttribute('visibility') !== 'hidden',
                'operation' => $child->getAttribute('composite-op') ?: 'svg:src-over',
                'file' => $child->tagName === 'layer' ? $this->picture($child->getAttribute('src')) : null,
                'isolated' => $child->getAttribute('isolation') === 'isolate',
                'layers' => $child->tagName === 'stack' ? $this->layers($child, $left, $top, $depth + 1) : [],
            ];
        }

        // the first one in the file lies on top
        return array_reverse($layers);
    }

    private function whole(DOMElement $element, string $attribute): int
    {
        $text = $element->getAttribute($attribute);

        return is_numeric($text) && abs((float) $text) < 1_000_000 ? (int) round((float) $text) : 0;
    }

    /** @throws UnreadablePicture|DiskFull */
    private function picture(string $source): string
    {
        $about = $this->zip->statName($source);
        if (! is_array($about)) {
            throw new UnreadablePicture("{$this->name} is incomplete: the layer \"{$source}\" is missing. Export it again.");
        }
        $from = $this->zip->getStreamIndex($about['index']);
        $file = "{$this->folder}/layer-{$this->layers}.png";
        $to = @fopen($file, 'xb');
        if ($from === false || $to === false) {
            throw $from === false ? new UnreadablePicture("{$this->name} is damaged at \"{$source}\".") : DiskFull::writing($this->name);
        }
        while (! feof($from)) {
            $part = (string) @fread($from, 1 << 18);
            $this->bytes += strlen($part);
            if ($this->bytes > self::MOST_BYTES) {
                throw new UnreadablePicture("{$this->name} holds more than 2 GB of layers.");
            }
            if (@fwrite($to, $part) !== strlen($part)) {
                throw DiskFull::writing($this->name);
            }
        }
        fclose($from);
        fclose($to);

        return $file;
    }
}
