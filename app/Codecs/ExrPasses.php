<?php

declare(strict_types=1);

namespace App\Codecs;

use Imagick;

/**
 * What an EXR file brings along besides its colours, as pictures of 16 bits beside the packed rows: normals 0.5 + 0.5 n, occlusion
 * as it is, and depth as tones between the nearest, black, and the furthest, white.
 */
final class ExrPasses
{
    /** What a renderer writes where there is nothing: further away than anything. */
    private const NOWHERE = 1e5;

    /** @var array<string, string> their pixels, most significant byte first */
    private array $bytes = [];

    private float $near = INF;

    private float $far = 0.0;

    public function __construct(private readonly ExrLayers $layers)
    {
    }

    /**
     * The pass pictures in a folder of packed rows.
     *
     * @return array<string, string> paths by the plate's value that names them
     */
    public static function in(string $folder): array
    {
        $found = [];
        foreach (['normals', 'occlusion', 'depth'] as $pass) {
            if (is_file("{$folder}/{$pass}.png")) {
                $found[$pass] = "{$folder}/{$pass}.png";
            }
        }

        return $found;
    }

    /** @return list<string> the channels that they are made of */
    public function channels(): array
    {
        return array_values(array_filter([...($this->layers->normals ?? []), $this->layers->depth, $this->layers->occlusion], is_string(...)));
    }

    /** How much further the furthest is than the nearest; 1 without a depth. */
    public function range(): float
    {
        return $this->near < $this->far ? min(1000.0, $this->far / max(1e-6, $this->near)) : 1.0;
    }

    /**
     * Looks how far its depth reaches, before any of it is added.
     *
     * @param  array<string, list<float>>  $row
     */
    public function look(array $row): void
    {
        foreach ($this->layers->depth === null ? [] : $row[$this->layers->depth] as $depth) {
            if ($depth > 0.0 && $depth < self::NOWHERE) {
                [$this->near, $this->far] = [min($this->near, $depth), max($this->far, $depth)];
            }
        }
    }

    /** @param  array<string, list<float>>  $row */
    public function add(array $row): void
    {
        if ($this->layers->normals !== null) {
            [$xs, $ys, $zs] = array_map(static fn (string $channel): array => $row[$channel], $this->layers->normals);
            $words = [];
            foreach ($xs as $at => $x) {
                array_push($words, self::word(0.5 + 0.5 * $x), self::word(0.5 + 0.5 * $ys[$at]), self::word(0.5 + 0.5 * $zs[$at]));
            }
            $this->put('normals', $words);
        }
        if ($this->layers->occlusion !== null) {
            $this->put('occlusion', array_map(self::word(...), $row[$this->layers->occlusion]));
        }
        if ($this->layers->depth !== null && $this->near < $this->far) {
            $span = 1 / ($this->far - $this->near);
            $this->put('depth', array_map(fn (float $depth): int => self::word($depth <= 0.0 || $depth >= self::NOWHERE ? 1.0 : ($depth - $this->near) * $span), $row[$this->layers->depth]));
        }
    }

    public function write(string $folder, int $width, int $height): void
    {
        foreach ($this->bytes as $pass => $bytes) {
            $image = new Imagick;
            $image->setSize($width, $height);
            $image->setOption('depth', '16');
            $image->setOption('endian', 'MSB');
            $image->setFormat($pass === 'normals' ? 'RGB' : 'GRAY');
            $image->readImageBlob($bytes);
            $image->setImageDepth(16);
            // numbers, not colours: no gamma is said
            $image->setOption('png:exclude-chunk', 'gAMA,cHRM,sRGB,date,tIME');
            $image->writeImage("png48:{$folder}/{$pass}.png");
            $image->clear();
        }
        if (isset($this->bytes['depth'])) {
            file_put_contents("{$folder}/range", sprintf('%.6F', $this->range()));
        }
    }

    /** @param  list<int>  $words */
    private function put(string $pass, array $words): void
    {
        $this->bytes[$pass] = ($this->bytes[$pass] ?? '').pack('n*', ...$words);
    }

    private static function word(float $tone): int
    {
        return (int) (65535 * max(0.0, min(1.0, $tone)) + 0.5);
    }
}
