<?php

declare(strict_types=1);

use App\Http\Api\OpenApi;
use App\Http\Api\RuleSchema;
use App\Http\Middleware\ChecksFields;
use App\Http\Middleware\ForgeryOrToken;
use App\Http\Takes;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use JsonSchema\Validator;

/* The API as it is described, and the tokens of scripts. */

it('is written down as it is, every route and every gesture', function (): void {
    expect(file_get_contents(OpenApi::path()))->toBe(OpenApi::text(), 'run `php artisan aumbrel:catalogue`');
    $paths = OpenApi::document()['paths'];
    $operations = array_merge([], ...array_map(static fn (array $verbs): array => array_values($verbs), array_values($paths)));
    $routes = array_filter(OpenApi::routes(), static fn (Route $route): bool => ! str_contains($route->uri(), '{gesture}'));
    expect(count($operations))->toBe(array_sum(array_map(static fn (Route $route): int => count(array_diff($route->methods(), ['HEAD'])), $routes)) + count(OpenApi::gestures()))
        ->and(count(OpenApi::gestures()))->toBeGreaterThan(30)
        ->and(array_unique(array_column($operations, 'operationId')))->toHaveCount(count($operations))
        ->and(array_filter($operations, static fn (array $operation): bool => $operation['summary'] === ''))->toBe([]);
});

it('says of every route with a body what that takes', function (): void {
    // bodies that are told elsewhere: none, or the strips of a scene
    $bare = ['duplicate', 'restore', 'read', 'readings', 'masks', 'contributions', 'consequence', 'plates-at'];
    $silent = [];
    foreach (OpenApi::routes() as $route) {
        $method = ChecksFields::method($route);
        $says = $method !== null && (Takes::by($method) !== null || array_filter($method->getParameters(), static fn ($parameter): bool => is_subclass_of((string) $parameter->getType(), Illuminate\Foundation\Http\FormRequest::class)) !== []);
        if (array_intersect($route->methods(), ['POST', 'PUT', 'PATCH']) !== [] && ! $says && ! in_array(basename($route->uri()), [...$bare, '{gesture}'], true)) {
            $silent[] = $route->uri();
        }
    }
    expect($silent)->toBe([]);
});

it('describes what it lets through, and nothing else', function (array $rules, array $sound, array $unsound): void {
    $schema = json_decode((string) json_encode(RuleSchema::of($rules)));
    $holds = static function (array $body) use ($schema): bool {
        $plain = json_decode((string) json_encode($body === [] ? new stdClass : $body));
        $validator = new Validator;
        $validator->validate($plain, $schema);

        return $validator->isValid();
    };
    foreach ($sound as $body) {
        expect($holds($body))->toBeTrue()->and(validator($body, $rules)->passes())->toBeTrue();
    }
    foreach ($unsound as $body) {
        expect($holds($body))->toBeFalse(json_encode($body))->and(validator($body, $rules)->passes())->toBeFalse();
    }
})->with([
    'a rig' => [['strips' => 'required|array|list|min:1|max:3', 'strips.*' => 'string|max:4', 'plate' => 'sometimes|nullable|string|max:4'], [['strips' => ['a']], ['strips' => ['a', 'b'], 'plate' => null]], [[], ['strips' => []], ['strips' => ['abcde']], ['strips' => ['a', 'b', 'c', 'd']], ['strips' => ['a'], 'plate' => 3]]],
    'numbers' => [['x' => 'required|numeric|between:-5,5', 'n' => 'sometimes|integer|min:0', 'on' => 'sometimes|boolean', 'as' => 'sometimes|in:a,b'], [['x' => 0.5], ['x' => -5, 'n' => 0, 'on' => true, 'as' => 'b']], [['n' => 1], ['x' => 6], ['x' => 1, 'n' => -1], ['x' => 1, 'as' => 'c']]],
    'points in objects' => [['line' => 'sometimes|array|list|size:2', 'line.*' => 'array|list|size:2', 'line.*.*' => 'numeric|between:-9,9'], [[], ['line' => [[0, 1], [2, 3]]]], [['line' => [[0, 1]]], ['line' => [[0, 1], [2, 30]]]]],
]);

it('is described by the application itself, for people and for programs', function (): void {
    $this->getJson('/api/openapi.json')->assertOk()->assertJsonPath('openapi', '3.1.0');
    $page = $this->get('/api')->assertOk()->getContent();
    expect($page)->toContain('/api/scenes/{scene}/gestures/add-strip')->not->toMatch('#<script(?![^>]*\bsrc=)[^>]*>#');
});

it('lets scripts in by a token, which is told once and can be withdrawn', function (): void {
    $made = $this->postJson('/api/tokens', ['name' => 'nightly'])->assertCreated()->json();
    expect($made['token'])->toStartWith('aumbrel_')->and($made['tokens'][0])->toMatchArray(['name' => 'nightly', 'used' => null]);
    expect(json_encode($this->getJson('/api/tokens')->json()))->not->toContain($made['token'])->and(Illuminate\Support\Facades\DB::table('tokens')->value('hash'))->toBe(hash('sha256', $made['token']));
    config(['aumbrel.passphrase' => 'salt marsh']);
    $bearer = ['Authorization' => "Bearer {$made['token']}"];
    $this->getJson('/api/scenes')->assertStatus(401);
    $this->getJson('/api/scenes', $bearer)->assertOk();
    $this->getJson('/api/scenes', ['Authorization' => 'Bearer aumbrel_'.str_repeat('x', 40)])->assertStatus(401);
    expect($this->getJson('/api/tokens', $bearer)->json('tokens.0.used'))->not->toBeNull();
    // in place of the token of a page's session
    $excepts = function (array $headers): bool {
        $request = Request::create('/api/scenes', 'POST');
        $request->headers->add($headers);

        return (fn () => $this->inExceptArray($request))->call(app(ForgeryOrToken::class));
    };
    expect($excepts($bearer))->toBeTrue()->and($excepts([]))->toBeFalse()->and($excepts(['Authorization' => 'Bearer aumbrel_no']))->toBeFalse();
    $this->deleteJson("/api/tokens/{$made['tokens'][0]['id']}", [], $bearer)->assertOk()->assertJsonPath('tokens', []);
    $this->getJson('/api/scenes', $bearer)->assertStatus(401);
});
