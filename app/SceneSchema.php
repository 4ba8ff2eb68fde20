<?php

declare(strict_types=1);

namespace App;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Kelvin;
use Aumbrel\Core\Input\Fields;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Kind\Join;
use Aumbrel\Core\Kind\MaskKind;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Snapshot;
use Aumbrel\Core\Stage\SceneSource;
use Aumbrel\Core\Stage\Source;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\Unit;

/** The JSON Schema of the scene file (draft 7), written from what the core knows. */
final class SceneSchema
{
    /** The tones between which a strip acts. */
    private const TONES = ['type' => 'object', 'properties' => ['darks' => self::LUMAS, 'brights' => self::LUMAS, 'of' => ['enum' => ['below', 'itself']]]];

    /** The plates that a strip stays off. */
    private const KEPT_OFF = ['type' => 'object', 'properties' => ['plates' => ['type' => 'array', 'maxItems' => 60, 'items' => self::ID], 'grow' => ['type' => 'number', 'minimum' => -2000, 'maximum' => 2000], 'feather' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1000]]];

    private const LUMAS = ['type' => 'array', 'minItems' => 2, 'maxItems' => 2, 'items' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1]];

    private const ID = ['type' => 'string', 'pattern' => Fields::IDENTIFIER];

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
                'aumbrel' => ['enum' => Scene::READ],
                'title' => ['type' => 'string', 'minLength' => 1, 'maxLength' => 120],
                'size' => ['type' => 'array', 'items' => $side, 'minItems' => 2, 'maxItems' => 2],
                'white' => ['type' => 'number', 'minimum' => Kelvin::LOWEST_WHITE, 'maximum' => Kelvin::HOTTEST],
                'strips' => ['type' => 'array', 'items' => ['$ref' => '#/definitions/strip']],
                'stage' => self::stage(),
                'ambient' => ['type' => 'object', 'properties' => ['level' => ['type' => 'number'], 'colour' => (new LightColourValue)->schema()]],
                'sources' => ['type' => 'array', 'maxItems' => SceneSource::MOST, 'items' => ['$ref' => '#/definitions/source']],
                'snapshots' => ['type' => 'array', 'maxItems' => Snapshot::MOST, 'items' => ['type' => 'object', 'required' => ['id'], 'properties' => [
                    'id' => self::ID, 'name' => ['type' => 'string', 'minLength' => 1, 'maxLength' => 80], 'strips' => ['type' => 'array', 'items' => ['$ref' => '#/definitions/strip']], 'sources' => ['type' => 'array', 'items' => ['$ref' => '#/definitions/source']],
                    'stage' => self::stage(), 'ambient' => ['type' => 'object'], 'white' => ['type' => 'number'],
                ]]],
                'accepted' => ['type' => 'array', 'maxItems' => 1000, 'items' => ['type' => 'string', 'maxLength' => 200]],
            ],
            'definitions' => [
                'source' => [
                    'type' => 'object', 'required' => ['id', 'kind'],
                    'properties' => [
                        'id' => self::ID, 'kind' => ['enum' => array_map(static fn (string $kind): string => $kind::key(), SceneSource::KINDS)], 'name' => ['type' => 'string', 'minLength' => 1, 'maxLength' => 80],
                        'level' => ['type' => 'number', 'minimum' => Unit::LEAST_LEVEL, 'maximum' => Unit::MOST_LEVEL], 'muted' => ['type' => 'boolean'],
                    ],
                    'allOf' => array_map(self::ofKind(...), SceneSource::KINDS),
                ],
                'mask' => [
                    'type' => 'object', 'required' => ['id'],
                    'properties' => [
                        'id' => self::ID, 'uses' => self::ID, 'kind' => ['enum' => array_map(static fn (string $kind): string => $kind::key(), Registry::kinds()->masks)],
                        'on' => ['enum' => array_column(Ground::cases(), 'value')], 'join' => ['enum' => array_column(Join::cases(), 'value')], 'inverted' => ['type' => 'boolean'], 'off' => ['type' => 'boolean'],
                        'feather' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1000], 'grow' => ['type' => 'number', 'minimum' => -1000, 'maximum' => 1000], 'lets' => ['type' => 'array', 'items' => ['type' => 'number', 'minimum' => 0, 'maximum' => 100], 'minItems' => 2, 'maxItems' => 2],
                    ],
                    // its shape is that of another one, or its own
                    'anyOf' => [['required' => ['uses']], ['required' => ['kind'], 'allOf' => array_map(self::ofKind(...), Registry::kinds()->masks)]],
                ],
                'strip' => [
                    'type' => 'object', 'required' => ['id', 'kind'],
                    'properties' => [
                        'id' => self::ID, 'kind' => ['enum' => array_map(static fn (string $kind): string => $kind::key(), Registry::kinds()->strips)],
                        'name' => ['type' => 'string', 'minLength' => 1, 'maxLength' => 80], 'mode' => ['enum' => array_column(BlendMode::cases(), 'value')],
                        'level' => ['type' => 'number', 'minimum' => Unit::LEAST_LEVEL, 'maximum' => Unit::MOST_LEVEL], 'amount' => ['type' => 'number', 'minimum' => 0, 'maximum' => 100],
                        'muted' => ['type' => 'boolean'], 'locked' => ['type' => 'boolean'], 'confinedTo' => self::ID, 'source' => self::ID, 'complements' => self::ID, 'contrast' => ['type' => 'number', 'minimum' => -100, 'maximum' => 100], 'tones' => self::TONES, 'keptOff' => self::KEPT_OFF, 'masks' => ['type' => 'array', 'items' => ['$ref' => '#/definitions/mask'], 'maxItems' => 16],
                        'strips' => ['type' => 'array', 'items' => ['$ref' => '#/definitions/strip']], 'closed' => ['type' => 'boolean'], 'held' => ['type' => 'boolean'],
                    ],
                    'allOf' => array_map(self::ofKind(...), Registry::kinds()->strips),
                ],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function stage(): array
    {
        $corners = ['type' => 'array', 'items' => PointValue::SCHEMA, 'minItems' => 4, 'maxItems' => 4];
        $line = ['type' => 'array', 'items' => PointValue::SCHEMA, 'minItems' => 2, 'maxItems' => 2];
        $number = ['type' => 'number'];

        return ['type' => 'object', 'properties' => [
            'floor' => ['type' => 'object', 'properties' => ['horizon' => $number, 'contact' => $line, 'corners' => $corners], 'anyOf' => [['required' => ['horizon', 'contact']], ['required' => ['corners']]]],
            'walls' => ['type' => 'array', 'items' => [
                'type' => 'object', 'required' => ['id'],
                'properties' => ['id' => self::ID, 'name' => ['type' => 'string', 'minLength' => 1, 'maxLength' => 80], 'corners' => $corners, 'foot' => $line, 'height' => $number],
                'anyOf' => [['required' => ['corners']], ['required' => ['foot', 'height']]],
            ]],
            'focal' => ['oneOf' => [['type' => 'null'], $number]],
        ]];
    }

    /**
     * @param  class-string<StripKind>|class-string<MaskKind>|class-string<Source>  $kind
     * @return array<string, mixed>
     */
    private static function ofKind(string $kind): array
    {
        $values = [];
        foreach ($kind::parameters() as $parameter) {
            $values[$parameter->name] = $parameter->schema();
        }
        $required = array_map(static fn (Parameter $parameter): string => $parameter->name, array_filter($kind::parameters(), static fn (Parameter $parameter): bool => $parameter->isRequired()));

        // either it is of another kind, or its values are those of this one
        return ['anyOf' => [
            ['properties' => ['kind' => ['not' => ['enum' => [$kind::key()]]]]],
            [
                'properties' => ['values' => ['type' => 'object', 'properties' => (object) $values, ...($required === [] ? [] : ['required' => array_values($required)])]],
                ...($required === [] ? [] : ['required' => ['values']]),
            ],
        ]];
    }
}
