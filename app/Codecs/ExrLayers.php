<?php

declare(strict_types=1);

namespace App\Codecs;

/** What the channels of an EXR file are for, by their names: of a layer `normal` its channels are `normal.X`, `normal.Y`, `normal.Z`. */
final readonly class ExrLayers
{
    /** How layers of colours are named (common practice, no source). */
    private const COLOUR = '/^(.*[._])?(combined|beauty|rgba?|colou?r|image)$/i';

    /**
     * @param  array{string, string, string}|null  $colour  channels of red, green, blue
     * @param  array{string, string, string}|null  $normals  of x, y, z
     */
    private function __construct(public ?array $colour, public ?string $alpha, public ?array $normals, public ?string $depth, public ?string $occlusion)
    {
    }

    public static function of(ExrFile $file): self
    {
        $layers = [];
        foreach (array_keys($file->channels) as $name) {
            $name = (string) $name;
            $dot = strrpos($name, '.');
            $layers[$dot === false ? '' : substr($name, 0, $dot)][strtoupper($dot === false ? $name : substr($name, $dot + 1))] = $name;
        }
        $colour = $alpha = $normals = $depth = $occlusion = null;
        foreach ($layers as $layer => $channels) {
            $layer = (string) $layer;
            $first = reset($channels);
            $pass = PassName::of($layer);
            if ($pass === 'normals') {
                $normals ??= self::three($channels, ['X', 'Y', 'Z']) ?? self::three($channels, ['R', 'G', 'B']);
            } elseif ($pass === 'depth') {
                $depth ??= $channels['Z'] ?? $channels['V'] ?? $channels['R'] ?? $channels['Y'] ?? $first;
            } elseif ($pass === 'occlusion') {
                $occlusion ??= $channels['R'] ?? $channels['Y'] ?? $channels['V'] ?? $first;
            } elseif ($layer === '' || preg_match(self::COLOUR, $layer) === 1) {
                $three = self::three($channels, ['R', 'G', 'B']) ?? (isset($channels['Y']) ? [$channels['Y'], $channels['Y'], $channels['Y']] : null);
                if ($three !== null && ($colour === null || $layer === '')) {
                    [$colour, $alpha] = [$three, $channels['A'] ?? null];
                }
            }
        }
        foreach ($layers[''] ?? [] as $short => $name) {
            $depth ??= PassName::of((string) $short) === 'depth' ? $name : null;
            $occlusion ??= PassName::of((string) $short) === 'occlusion' ? $name : null;
        }
        foreach ($colour === null ? $layers : [] as $channels) {
            // colours of a layer of another name; or the only thing there is
            $colour ??= self::three($channels, ['R', 'G', 'B']);
        }
        if ($colour === null) {
            $only = $normals ?? ($depth !== null ? [$depth, $depth, $depth] : null) ?? ($occlusion !== null ? [$occlusion, $occlusion, $occlusion] : null);
            $first = (string) array_key_first($file->channels);

            return new self($only ?? [$first, $first, $first], null, null, null, null);
        }

        return new self($colour, $alpha, $normals, $depth, $occlusion);
    }

    /**
     * @param  array<string, string>  $channels
     * @param  array{string, string, string}  $names
     * @return array{string, string, string}|null
     */
    private static function three(array $channels, array $names): ?array
    {
        [$a, $b, $c] = $names;

        return isset($channels[$a], $channels[$b], $channels[$c]) ? [$channels[$a], $channels[$b], $channels[$c]] : null;
    }
}
