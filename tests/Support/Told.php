<?php

declare(strict_types=1);

namespace Tests\Support;

use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Scene\Scene;
use Imagick;

/** A scene told in the neutral words of the independent renderer, as a scene of ours with its pictures, and what that renderer made of it. */
final class Told
{
    /** @var array<string, Flat> */
    private array $pictures = [];

    /** @var array<string, mixed> */
    private readonly array $given;

    public function __construct(private readonly string $folder, private readonly string $plates)
    {
        $this->given = json_decode((string) file_get_contents("{$folder}/scene.json"), true, flags: JSON_THROW_ON_ERROR);
    }

    public function scene(): Scene
    {
        return Scene::read([
            'aumbrel' => 2, 'title' => 'Told', 'size' => $this->given['size'], 'white' => $this->given['white'] ?? 6500,
            ...$this->stage(), ...$this->sources(), 'strips' => array_merge(...array_map($this->strip(...), $this->given['strips'])),
        ], Registry::kinds());
    }

    public function renderer(): Renderer
    {
        return Rendering::renderer($this->pictures);
    }

    /** @return array{tolerance: array{mean: float, max: float}} */
    public function about(): array
    {
        return $this->given['about'];
    }

    /**
     * How far pixels are from the independent renderer's, premultiplied, in 1/255.
     *
     * @param  string  $bytes  of 16 bits a channel
     * @return list<float> the largest difference of each pixel
     */
    public function apart(string $bytes): array
    {
        $ours = array_values(unpack('n*', $bytes) ?: []);
        $expected = array_values(unpack('g*', (string) file_get_contents("{$this->folder}/expected.f32")) ?: []);
        $channels = intdiv(count($expected), intdiv(count($ours), 4));
        $apart = [];
        for ($pixel = 0; $pixel < count($ours) / 4; $pixel++) {
            $wanted = array_slice($expected, $channels * $pixel, $channels) + [3 => 1.0];
            $shown = array_map(static fn (int $value): float => $value / 65535, array_slice($ours, 4 * $pixel, 4));
            $off = abs($shown[3] - $wanted[3]);
            foreach ([0, 1, 2] as $k) {
                $off = max($off, abs($shown[$k] * $shown[3] - min(1.0, $wanted[$k]) * $wanted[3]));
            }
            $apart[] = 255 * $off;
        }

        return $apart;
    }

    /** @return array<string, mixed> */
    private function stage(): array
    {
        $camera = $this->given['camera'] ?? null;
        $walls = [];
        foreach ($this->given['strips'] as $strip) {
            if (isset($strip['foot'])) {
                $walls[serialize($strip['foot'])] = ['id' => 'wall', 'name' => 'Wall', 'foot' => $strip['foot'], 'height' => 1000];
            }
        }

        return $camera === null ? [] : ['stage' => [
            'floor' => array_intersect_key($camera, ['horizon' => 0, 'contact' => 0]), ...(isset($camera['f']) ? ['focal' => $camera['f']] : []), ...($walls === [] ? [] : ['walls' => array_values($walls)]),
        ]];
    }

    /** @return array<string, mixed> */
    private function sources(): array
    {
        $sources = [];
        foreach ($this->given['sources'] ?? [] as $id => $source) {
            $sources[] = ['id' => $id, 'name' => $id, 'kind' => $source['kind'], 'level' => $source['level'], 'values' => [
                'place' => $source['at'], 'depth' => $source['z'], 'unseen' => ($source['seen'] ?? true) === false, 'width' => $source['width'], 'colour' => self::light($source['light']),
            ]];
        }

        return $sources === [] ? [] : ['sources' => $sources];
    }

    /** @return list<array<string, mixed>> */
    private function strip(array $strip): array
    {
        $common = [
            'id' => self::id($strip['id']), ...array_intersect_key($strip, ['mode' => 0, 'level' => 0, 'source' => 0]), ...(isset($strip['amount']) ? ['amount' => 100 * $strip['amount']] : []),
            'masks' => array_map(self::mask(...), $strip['masks'] ?? [], array_keys($strip['masks'] ?? [])), ...(isset($strip['tones']) ? ['tones' => self::tones($strip['tones'])] : []),
        ];
        [$kind, $values] = match ($strip['kind']) {
            'fill' => ['fill', ['colour' => self::hex($strip['colour'])]],
            'plate' => ['plate', $this->plate($strip)],
            'spot_across' => ['spot', array_filter(['origin' => $strip['origin'], 'target' => $strip['target'], 'beam' => $strip['beam'], 'field' => $strip['field'], 'reachLaw' => $strip['law'] ?? 'linear', 'size' => $strip['s'] ?? null, 'reach' => $strip['reach'] ?? null, 'softness' => $strip['softness'] ?? 0, 'colour' => self::light($strip['light'])], static fn (mixed $value): bool => $value !== null)],
            'spot_onto' => ['spot-onto', ['surface' => $strip['plane'] === 'wall' ? null : 'floor', 'lamp' => array_slice($strip['lamp'], 0, 2), 'height' => $strip['lamp'][2], 'target' => $strip['target'], 'beam' => $strip['beam'], 'field' => $strip['field'], 'softness' => $strip['softness'] ?? 0, 'colour' => self::light($strip['light'])]],
            'cast' => ['cast', ['of' => array_map(self::id(...), (array) $strip['of']), 'colour' => self::hex($strip['ambient']), 'azimuth' => $strip['azimuth'], 'elevation' => $strip['elevation'], 'width' => rad2deg($strip['angle']), 'contact' => $strip['contact'], 'tip' => 100, 'climbs' => isset($strip['foot'])]],
            'haze_distance' => ['distance haze', array_filter(['visible' => $strip['visible'], 'far' => $strip['far'] ?? null, 'colour' => self::hex($strip['veil'])])],
        };

        return [[...$common, ...(isset($strip['density']) ? ['amount' => 100 * $strip['density']] : []), 'kind' => $kind, 'values' => $values]];
    }

    /** @return array<string, mixed> */
    private function plate(array $strip): array
    {
        [$id, $at] = [self::id($strip['id']), $strip['at'] ?? [0, 0]];
        $picture = $this->picture($id, $strip['file']);
        $distance = $strip['distance'] ?? [];
        if (isset($distance['depth'])) {
            // told in pixels of the scene there; with us a pass belongs to its plate's picture and moves with it
            $this->picture("{$id}-depth", $distance['depth'], [...$at, $picture->width(), $picture->height()]);
        }
        $camera = $this->given['camera'] ?? null;
        $casts = array_filter($this->given['strips'], static fn (array $other): bool => in_array($strip['id'], (array) ($other['of'] ?? []), true)) !== [];
        $feet = array_map(static fn (array $foot): array => [$foot[0] - $at[0], $foot[1] - $at[1]], $strip['feet'] ?? ($casts && $camera ? self::onRow($camera['contact'], $at[0] + 4, $at[0] + $picture->width() - 4) : []));

        return [
            'picture' => $id, 'place' => $at, ...(isset($strip['exposure']) ? ['exposure' => $strip['exposure']] : []), ...($feet === [] ? ['stance' => 'free'] : ['feet' => $feet, 'stance' => 'stands']),
            ...(isset($distance['d']) ? ['distance' => $distance['d']] : []),
            ...(isset($distance['depth']) ? ['depth' => "{$id}-depth", 'depthNear' => $distance['near'], 'depthFar' => $distance['far'], 'depthInverse' => $distance['inverse'] ?? false, 'depthEnds' => ($distance['near_white'] ?? true) ? 'white is near' : 'black is near'] : []),
        ];
    }

    /** @return list<array{float, float}> two places of a contact row */
    private static function onRow(array $row, float ...$columns): array
    {
        [[$left, $from], [$right, $to]] = $row;

        return array_map(static fn (float $x): array => [$x, $from + ($to - $from) * ($x - $left) / ($right - $left)], $columns);
    }

    /** @param  array{int, int, int, int}|null  $part  left, top, width and height of what is taken of it */
    private function picture(string $name, string $file, ?array $part = null): Flat
    {
        $image = new Imagick("{$this->plates}/".basename($file));
        [$columns, $rows] = [$image->getImageWidth(), $image->getImageHeight()];
        $bytes = $image->exportImagePixels(0, 0, $columns, $rows, 'RGBA', Imagick::PIXEL_CHAR);

        [$left, $top, $width, $height] = $part ?? [0, 0, $columns, $rows];

        return $this->pictures[$name] = new Flat($width, $height, static fn (int $x, int $y): array => array_slice($bytes, 4 * (($y + $top) * $columns + $x + $left), 4));
    }

    /** @return array<string, mixed> */
    private static function mask(array $mask, int $at): array
    {
        $join = ['join' => $mask['op'] ?? 'intersect', 'inverted' => $mask['invert'] ?? false, 'off' => ! ($mask['active'] ?? true)];

        return ['id' => "m{$at}", ...$join, ...match ($mask['kind']) {
            'linear' => ['kind' => 'linear', 'values' => ['from' => $mask['start'], 'to' => $mask['end'], 'stops' => $mask['stops']]],
            'outline' => ['kind' => 'outline', 'values' => ['path' => array_map(static fn (array $corner): array => ['at' => $corner], $mask['polygon'])]],
        }];
    }

    /** @return array<string, mixed> */
    private static function tones(array $tones): array
    {
        return ['darks' => [$tones['lo0'], $tones['lo1']], 'brights' => [$tones['hi0'], $tones['hi1']], 'of' => ($tones['of'] ?? 'below') === 'self' ? 'itself' : 'below'];
    }

    /** @return array<string, mixed> */
    private static function light(array $light): array
    {
        return isset($light['swatch']) ? ['swatch' => self::hex($light['swatch'])] : ['kelvin' => $light['kelvin']];
    }

    private static function hex(array $colour): string
    {
        return sprintf('#%02x%02x%02x', ...array_map(static fn (float $value): int => (int) round(255 * $value), $colour));
    }

    private static function id(string $id): string
    {
        return strtr($id, ' ', '-');
    }
}
