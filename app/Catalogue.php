<?php

declare(strict_types=1);

namespace App;

use App\Codecs\PictureFormat;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Gel;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Kind\Drawn;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\Exchanged;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Kind\Join;
use Aumbrel\Core\Kind\LiesUnder;
use Aumbrel\Core\Kind\Likens;
use Aumbrel\Core\Kind\MaskKind;
use Aumbrel\Core\Kind\Painted;
use Aumbrel\Core\Kind\Pairs;
use Aumbrel\Core\Kind\Pullable;
use Aumbrel\Core\Kind\Shines;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Stage\SceneSource;
use Aumbrel\Core\Stage\Source;
use Aumbrel\Core\Stroke\Pressure;
use Aumbrel\Core\Stroke\Tip;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Words;

/** What the interface must know of the core, written out as TypeScript; the core is where it is said. */
final class Catalogue
{
    public static function path(): string
    {
        return resource_path('js/generated/catalogue.ts');
    }

    public static function text(): string
    {
        $write = static fn (mixed $value): string => json_encode($value, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
        $strips = $write(array_map(self::strip(...), Registry::kinds()->strips));
        $sources = $write(array_map(self::source(...), SceneSource::KINDS));
        $masks = $write(array_map(self::mask(...), Registry::kinds()->masks));
        $modes = $write(array_column(BlendMode::cases(), 'value'));
        $groups = $write(array_map(static fn (string $does, array $modes): array => ['does' => $does, 'modes' => array_column($modes, 'value')], array_keys(BlendMode::byWhatTheyDo()), array_values(BlendMode::byWhatTheyDo())));
        $linear = $write(array_values(array_map(static fn (BlendMode $mode): string => $mode->value, array_filter(BlendMode::cases(), static fn (BlendMode $mode): bool => $mode->isLinear()))));
        $gels = $write(array_map(static fn (Gel $gel): array => ['name' => $gel->name, 'swatch' => $gel->swatch->toHex(), 'transmission' => $gel->transmission, 'loss' => round($gel->loss(new Rgb(1, 1, 1)), 2)], Gel::shelf()));
        $conversions = $write(Gel::CONVERSIONS);
        $pressures = $write(array_column(Pressure::cases(), 'value'));
        $tips = $write(array_column(Tip::shelf(), 'value'));
        $joins = $write(array_column(Join::cases(), 'value'));
        $level = $write(['least' => Unit::LEAST_LEVEL, 'most' => Unit::MOST_LEVEL]);

        $taken = $write(implode(',', array_merge(...array_map(static fn (PictureFormat $format): array => [".{$format->ending()}", "image/{$format->value}"], PictureFormat::cases()))));
        $exports = $write(array_merge(...array_map(static fn (PictureFormat $format): array => array_map(static fn (int $bits): array => ['format' => $format->value, 'bits' => $bits, 'label' => count($format->bits()) > 1 ? "{$format->label()}, {$bits} bit" : $format->label(), 'isLossy' => $format->isLossy(), 'keepsAlpha' => $format->keepsAlpha()], $format->bits()), [...PictureFormat::written(), PictureFormat::Exr])));

        return <<<TS
            // Written by `php artisan aumbrel:catalogue` from the core; a test fails when it is stale.
            import type { MaskKind, SourceKind, StripKind } from '../api/types';

            export const stripKinds: StripKind[] = {$strips};

            export const sourceKinds: SourceKind[] = {$sources};

            export const maskKinds: MaskKind[] = {$masks};

            export const modes: string[] = {$modes};

            /** The files that a scene is written to. */
            export const exportFormats: { format: string; bits: number; label: string; isLossy: boolean; keepsAlpha: boolean }[] = {$exports};

            /** The endings and types of the pictures that are taken in. */
            export const picturesTaken = {$taken};

            export const modeGroups: { does: string; modes: string[] }[] = {$groups};

            export const linearModes: string[] = {$linear};

            export const gels: { name: string; swatch: string; transmission: number; loss: number }[] = {$gels};

            export const conversions: Record<string, number> = {$conversions};

            export const pressures: string[] = {$pressures};

            /** The brush tips that are there from the start. */
            export const tips: string[] = {$tips};

            export const joins: string[] = {$joins};

            export const levelRange: { least: number; most: number } = {$level};

            TS;
    }

    /**
     * @param  class-string<StripKind>  $kind
     * @return array<string, mixed>
     */
    private static function strip(string $kind): array
    {
        return [
            'key' => $kind::key(), 'label' => $kind::label(), 'hint' => $kind::hint(), 'family' => $kind::family()->value,
            'course' => $kind::family()->course(), 'fadesInStops' => $kind::family()->fadesInStops(),
            'drawn' => match (true) {
                is_subclass_of($kind, Drawn::class) => $kind::LINE,
                is_subclass_of($kind, Pullable::class) => $kind::line(),
                default => null,
            },
            'liesUnder' => is_subclass_of($kind, LiesUnder::class), 'tip' => is_subclass_of($kind, Painted::class) ? $kind::tip() : null, 'pair' => is_subclass_of($kind, Pairs::class) ? ['label' => $kind::pairLabel(), 'hint' => $kind::pairHint()] : null, 'likens' => is_subclass_of($kind, Likens::class), 'shines' => is_subclass_of($kind, Shines::class) ? ($kind::traces() ? 'lines' : 'areas') : null, 'hangsOn' => is_subclass_of($kind, Driven::class) ? array_map(static fn (string $source): string => $source::key(), $kind::hangsOn()) : [],
            'parameters' => self::parameters($kind::key(), $kind::parameters()),
        ];
    }

    /**
     * @param  class-string<Source>  $kind
     * @return array<string, mixed>
     */
    private static function source(string $kind): array
    {
        return ['key' => $kind::key(), 'label' => $kind::label(), 'hint' => $kind::hint(), 'parameters' => self::parameters($kind::key(), $kind::parameters())];
    }

    /**
     * @param  class-string<MaskKind>  $kind
     * @return array<string, mixed>
     */
    private static function mask(string $kind): array
    {
        return [
            'key' => $kind::key(), 'label' => $kind::label(), 'grounds' => array_map(static fn (Ground $ground): string => $ground->value, $kind::grounds()),
            'becomes' => is_subclass_of($kind, Exchanged::class) ? $kind::becomes() : null,
            'parameters' => self::parameters($kind::key(), $kind::parameters()),
        ];
    }

    /**
     * @param  list<Parameter>  $parameters
     * @return list<array<string, mixed>>
     */
    private static function parameters(string $kind, array $parameters): array
    {
        return array_map(static fn (Parameter $parameter): array => [...$parameter->describe(), 'says' => $parameter->says !== '' ? $parameter->says : Words::of($kind, $parameter->name)], $parameters);
    }
}
