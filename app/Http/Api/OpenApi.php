<?php

declare(strict_types=1);

namespace App\Http\Api;

use App\Gestures\Gesture;
use App\Http\Middleware\ChecksFields;
use App\Http\Takes;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use Illuminate\Support\Str;
use ReflectionClass;
use ReflectionMethod;
use ReflectionNamedType;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** The description of the API (OpenAPI 3.1), written from the routes, from what their methods take, and from the gestures. */
final class OpenApi
{
    private const GESTURE = '{gesture}';

    public static function path(): string
    {
        return base_path('docs/openapi.json');
    }

    public static function text(): string
    {
        return json_encode(self::document(), JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
    }

    /** @return array<string, mixed> */
    public static function document(): array
    {
        $paths = [];
        foreach (self::routes() as $route) {
            foreach (array_diff($route->methods(), ['HEAD']) as $verb) {
                foreach (self::operations($route, $verb) as $path => $operation) {
                    $paths[$path][strtolower($verb)] = $operation;
                }
            }
        }
        ksort($paths);

        return [
            'openapi' => '3.1.0',
            'info' => [
                'title' => 'Aumbrel', 'version' => '1',
                'description' => 'Lengths are scene pixels, angles degrees, levels stops, amounts percent. A script sends a token of its own (`Authorization: Bearer`); the application\'s own pages send the token of their session instead. '
                    .'A gesture may be named (`Idempotency-Key`): one that was written already is not written twice. Written by `php artisan aumbrel:catalogue`.',
            ],
            'servers' => [['url' => '/api']],
            'security' => [['token' => []]],
            'paths' => $paths,
            'components' => [
                'securitySchemes' => ['token' => ['type' => 'http', 'scheme' => 'bearer']],
                'schemas' => ['Problem' => ['type' => 'object', 'required' => ['message'], 'properties' => ['message' => ['type' => 'string', 'description' => 'a sentence'], 'field' => ['type' => 'string'], 'strip' => ['type' => 'string']]]],
                'responses' => ['Refused' => ['description' => 'What is asked for cannot be done; nothing was changed.', 'content' => ['application/json' => ['schema' => ['$ref' => '#/components/schemas/Problem']]]]],
            ],
        ];
    }

    /** @return list<Route> those of the API */
    public static function routes(): array
    {
        return array_values(array_filter(Routes::getRoutes()->getRoutes(), static fn (Route $route): bool => str_starts_with($route->uri(), 'api/')));
    }

    /** @return array<string, array<string, mixed>> by path: one for each gesture where a route is for all of them */
    private static function operations(Route $route, string $verb): array
    {
        $path = '/'.substr($route->uri(), 4);
        $method = ChecksFields::method($route);
        if (! str_contains($path, self::GESTURE)) {
            return [$path => self::operation($route, $path, $verb, $method, self::rules($method), self::says($method?->getDocComment()))];
        }
        $operations = [];
        foreach (self::gestures() as $name => $class) {
            $own = strtr($path, [self::GESTURE => $name]);
            $operations[$own] = self::operation($route, $own, $verb, $method, app()->make($class)->rules(), self::says((new ReflectionClass($class))->getDocComment()));
        }

        return $operations;
    }

    /**
     * @param  array<string, mixed>  $rules
     * @return array<string, mixed>
     */
    private static function operation(Route $route, string $path, string $verb, ?ReflectionMethod $method, array $rules, string $says): array
    {
        $takesFile = $method !== null && (Takes::by($method)->file ?? false);
        $isRead = in_array($verb, ['GET', 'DELETE'], true);
        $body = RuleSchema::of($rules);
        $parameters = array_map(static fn (string $name): array => ['name' => $name, 'in' => 'path', 'required' => true, 'schema' => ['type' => 'string', ...(isset($route->wheres[$name]) ? ['pattern' => "^{$route->wheres[$name]}$"] : [])]], array_values(array_filter($route->parameterNames(), static fn (string $name): bool => str_contains($path, "{{$name}}"))));
        if ($isRead || $verb === 'PUT') {
            /** @var array<string, mixed> $properties */
            $properties = (array) $body['properties'];
            foreach ($properties as $name => $schema) {
                $parameters[] = ['name' => $name, 'in' => 'query', 'required' => in_array($name, (array) ($body['required'] ?? []), true), 'schema' => $schema];
            }
        }

        return [
            'tags' => [explode('/', trim($path, '/'))[0]],
            'summary' => $says,
            'operationId' => Str::camel(strtolower($verb).' '.preg_replace('/[^A-Za-z0-9]+/', ' ', $path)),
            ...($parameters === [] ? [] : ['parameters' => $parameters]),
            ...($isRead ? [] : ['requestBody' => ['required' => $rules !== [] || $takesFile, 'content' => self::content($verb, $body, $takesFile)]]),
            'responses' => [...self::answer($method), '4XX' => ['$ref' => '#/components/responses/Refused']],
        ];
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
     */
    private static function content(string $verb, array $body, bool $takesFile): array
    {
        if ($verb === 'PUT') {
            return ['application/octet-stream' => ['schema' => ['type' => 'string', 'contentMediaType' => 'application/octet-stream']]];
        }
        $with = static fn (array $more): array => ['properties' => (object) [...(array) $body['properties'], ...$more]] + $body;

        return $takesFile ? [
            'multipart/form-data' => ['schema' => $with(['file' => ['type' => 'string', 'contentMediaType' => 'application/octet-stream']])],
            'application/json' => ['schema' => $with(['intake' => ['type' => 'string', 'description' => 'of a file that was taken in in parts']])],
        ] : ['application/json' => ['schema' => $body]];
    }

    /** @return array<string, array<string, mixed>> */
    private static function answer(?ReflectionMethod $method): array
    {
        $type = $method?->getReturnType();
        $name = $type instanceof ReflectionNamedType ? $type->getName() : '';

        return ['2XX' => ['description' => 'Done.', 'content' => match (true) {
            $name === JsonResponse::class => ['application/json' => ['schema' => ['type' => 'object']]],
            default => ['*/*' => ['schema' => ['type' => 'string', 'contentMediaType' => $name === BinaryFileResponse::class ? 'application/octet-stream' : '*/*']]],
        }]];
    }

    /** @return array<string, mixed> of a method: what it says itself, and what its request says */
    private static function rules(?ReflectionMethod $method): array
    {
        $rules = $method === null ? [] : (Takes::by($method)?->rules() ?? []);
        foreach ($method?->getParameters() ?? [] as $parameter) {
            $type = $parameter->getType();
            $class = $type instanceof ReflectionNamedType ? $type->getName() : '';
            if (is_subclass_of($class, FormRequest::class) && method_exists($class, 'rules')) {
                $own = (new $class)->rules();
                $rules = [...$rules, ...(is_array($own) ? $own : [])];
            }
        }

        return $rules;
    }

    /** @return array<string, class-string<Gesture>> by name */
    public static function gestures(): array
    {
        $gestures = [];
        foreach (glob(app_path('Gestures/*.php')) ?: [] as $file) {
            $name = Str::kebab(basename($file, '.php'));
            $class = Gesture::named($name);
            if ($class !== null) {
                $gestures[$name] = $class;
            }
        }

        return $gestures;
    }

    /** The first sentence of a comment. */
    private static function says(string|false|null $comment): string
    {
        $text = trim((string) preg_replace('#^\s*/?\*+/?|\*/\s*$#m', '', (string) $comment));
        $text = (string) preg_replace('/\s+/', ' ', (string) preg_replace('/@\w+.*$/s', '', $text));

        return preg_match('/^.*?\.(?= |$)/', trim($text), $found) === 1 ? $found[0] : trim($text);
    }
}
