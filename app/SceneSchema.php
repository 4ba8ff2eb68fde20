<?php

declare(strict_types=1);

namespace App;

use Aumbrel\Core\Bearing\Method;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Kelvin;
use Aumbrel\Core\Mask\Ground;
use Aumbrel\Core\Mask\Join;
use Aumbrel\Core\Mask\MaskKind;
use Aumbrel\Core\Parameter\Parameter;
use Aumbrel\Core\Parameter\ParameterType;
use Aumbrel\Core\Scene\Kinds;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Scene\StripKind;
use Aumbrel\Core\Stroke\Pressure;
use Aumbrel\Core\Stroke\Stroke;

/** The JSON Schema of the scene file (draft 7), written from what the core knows. */
final class SceneSchema
{
    private const ID = ['type' => 'string', 'pattern' => '^[A-Za-z0-9_-]{1,40}$'];

    public static function path(): string
    {
        return base_path('docs/scene.schema.json');
    }

    public static function text(): string
    {
        return json_encode(self::schema(), JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
    }

    /** @return array<string, mixed> */
    private static function schema(): array
    {
        $side = ['type' => 'integer', 'minimum' => 1, 'maximum' => Scene::LARGEST_SIDE];

        return [
            '$schema' => 'http://json-schema.org/draft-07/schema#',
            'title' => 'Aumbrel scene',
            'description' => 'Lengths are scene pixels at full size, angles degrees, levels stops, amounts percent. Unknown fields are kept. Written by `php artisan aumbrel:catalogue`.',
            'type' => 'object',
            'required' => ['aumbrel', 'size'],
            'properties' => [
                'aumbrel' => ['enum' => [Scene::VERSION]],
                'title' => ['type' => 'string', 'minLength' => 1, 'maxLength' => 120],
                'size' => ['type' => 'array', 'items' => $side, 'minItems' => 2, 'maxItems' => 2],
                'white' => ['type' => 'number', 'minimum' => Kelvin::LOWEST_WHITE, 'maximum' => Kelvin::HOTTEST],
                'strips' => ['type' => 'array', 'items' => ['$ref' => '#/definitions/strip']],
                'accepted' => ['type' => 'array', 'maxItems' => 1000, 'items' => ['type' => 'string', 'maxLength' => 200]],
            ],
            'definitions' => [
                'point' => ['type' => 'array', 'items' => ['type' => 'number', 'minimum' => -1e6, 'maximum' => 1e6], 'minItems' => 2, 'maxItems' => 2],
                'swatch' => ['type' => 'string', 'pattern' => '^#[0-9a-fA-F]{6}$'],
                'light colour' => ['oneOf' => [
                    ['type' => 'object', 'required' => ['swatch'], 'properties' => ['swatch' => ['$ref' => '#/definitions/swatch']], 'not' => ['required' => ['kelvin']]],
                    ['type' => 'object', 'required' => ['kelvin'], 'properties' => ['kelvin' => ['type' => 'number', 'minimum' => Kelvin::COOLEST, 'maximum' => Kelvin::HOTTEST]], 'not' => ['required' => ['swatch']]],
                ]],
                'mask stops' => ['type' => 'array', 'minItems' => 1, 'maxItems' => 32, 'items' => [
                    'type' => 'object', 'required' => ['offset', 'value'], 'properties' => [
                        'offset' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1], 'value' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1],
                        'midpoint' => ['type' => 'number', 'minimum' => 0.01, 'maximum' => 0.99],
                    ],
                ]],
                'path' => ['type' => 'array', 'maxItems' => 4000, 'items' => [
                    'type' => 'object', 'required' => ['at'], 'properties' => array_fill_keys(['at', 'in', 'out'], ['$ref' => '#/definitions/point']),
                ]],
                'stroke' => ['type' => 'object', 'required' => ['points'], 'properties' => [
                    'size' => ['type' => 'number', 'minimum' => 0.5, 'maximum' => Stroke::LARGEST_SIZE],
                    ...array_fill_keys(['hardness', 'opacity', 'flow'], ['type' => 'number', 'minimum' => 0, 'maximum' => 100]),
                    'spacing' => ['type' => 'number', 'minimum' => 5, 'maximum' => 200], 'reveals' => ['type' => 'boolean'], 'pressure' => ['enum' => array_column(Pressure::cases(), 'value')],
                    'points' => ['type' => 'array', 'minItems' => 1, 'maxItems' => 5000, 'items' => ['type' => 'array', 'items' => ['type' => 'number'], 'minItems' => 2, 'maxItems' => 4, 'description' => 'x, y, pressure 0..1, ms since the stroke began']],
                ]],
                'bearing' => ['type' => 'object', 'required' => ['by'], 'properties' => [
                    'by' => ['enum' => array_column(Method::cases(), 'value')],
                    'azimuth' => ['type' => 'number', 'minimum' => -180, 'maximum' => 180], 'elevation' => ['type' => 'number', 'minimum' => -90, 'maximum' => 90],
                    'spread' => ['type' => 'number', 'minimum' => 0, 'maximum' => 180], 'confidence' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1],
                    ...array_fill_keys(['base', 'tip', 'top'], ['$ref' => '#/definitions/point']),
                ]],
                'mask' => [
                    'type' => 'object', 'required' => ['id', 'kind'],
                    'properties' => [
                        'id' => self::ID, 'kind' => ['enum' => array_map(static fn (string $kind): string => $kind::key(), Kinds::MASKS)],
                        'on' => ['enum' => array_column(Ground::cases(), 'value')], 'join' => ['enum' => array_column(Join::cases(), 'value')], 'inverted' => ['type' => 'boolean'], 'off' => ['type' => 'boolean'],
                    ],
                    'allOf' => array_map(self::ofKind(...), Kinds::MASKS),
                ],
                'strip' => [
                    'type' => 'object', 'required' => ['id', 'kind'],
                    'properties' => [
                        'id' => self::ID, 'kind' => ['enum' => array_map(static fn (string $kind): string => $kind::key(), Kinds::STRIPS)],
                        'name' => ['type' => 'string', 'minLength' => 1, 'maxLength' => 80], 'mode' => ['enum' => array_column(BlendMode::cases(), 'value')],
                        'level' => ['type' => 'number', 'minimum' => Strip::LEAST_LEVEL, 'maximum' => Strip::MOST_LEVEL], 'amount' => ['type' => 'number', 'minimum' => 0, 'maximum' => 100],
                        'muted' => ['type' => 'boolean'], 'confinedTo' => self::ID, 'masks' => ['type' => 'array', 'items' => ['$ref' => '#/definitions/mask'], 'maxItems' => 16],
                        'strips' => ['type' => 'array', 'items' => ['$ref' => '#/definitions/strip']],
                    ],
                    'allOf' => array_map(self::ofKind(...), Kinds::STRIPS),
                ],
            ],
        ];
    }

    /**
     * @param  class-string<StripKind>|class-string<MaskKind>  $kind
     * @return array<string, mixed>
     */
    private static function ofKind(string $kind): array
    {
        $values = [];
        foreach ($kind::parameters() as $parameter) {
            $values[$parameter->name] = self::value($parameter);
        }
        $required = array_map(static fn (Parameter $parameter): string => $parameter->name, array_filter($kind::parameters(), static fn (Parameter $parameter): bool => ! $parameter->optional && $parameter->default === null));

        // either it is of another kind, or its values are those of this one
        return ['anyOf' => [
            ['properties' => ['kind' => ['not' => ['enum' => [$kind::key()]]]]],
            [
                'properties' => ['values' => ['type' => 'object', 'properties' => (object) $values, ...($required === [] ? [] : ['required' => array_values($required)])]],
                ...($required === [] ? [] : ['required' => ['values']]),
            ],
        ]];
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function orNull(array $schema): array
    {
        return ['oneOf' => [['type' => 'null'], $schema]];
    }

    /** @return array<string, mixed> */
    private static function value(Parameter $parameter): array
    {
        $schema = match ($parameter->type) {
            ParameterType::Number => ['type' => $parameter->optional ? ['number', 'null'] : 'number', 'minimum' => $parameter->least, 'maximum' => $parameter->most],
            ParameterType::Choice => ['enum' => $parameter->choices],
            ParameterType::Toggle => ['type' => 'boolean'],
            ParameterType::Point => ['$ref' => '#/definitions/point'],
            ParameterType::LightColour => ['$ref' => '#/definitions/light colour'],
            ParameterType::FlatColour => ['$ref' => '#/definitions/swatch'],
            ParameterType::MaskStops => ['$ref' => '#/definitions/mask stops'],
            ParameterType::Path => ['$ref' => '#/definitions/path'],
            ParameterType::Strokes => ['type' => 'array', 'maxItems' => 2000, 'items' => ['$ref' => '#/definitions/stroke']],
            ParameterType::Corners => self::orNull(['type' => 'array', 'items' => ['$ref' => '#/definitions/point'], 'minItems' => 4, 'maxItems' => 4]),
            ParameterType::Line => self::orNull(['type' => 'array', 'items' => ['$ref' => '#/definitions/point'], 'minItems' => 2, 'maxItems' => 2]),
            ParameterType::Bearing => self::orNull(['$ref' => '#/definitions/bearing']),
            ParameterType::Picture => ['type' => 'string', 'description' => 'the plain name of a picture file beside the scene'],
        };

        return isset($schema['$ref']) ? $schema : ['description' => trim("{$parameter->label} {$parameter->unit->value}"), ...$schema];
    }
}
