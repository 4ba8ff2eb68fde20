<?php

declare(strict_types=1);

use Tests\Support\OddRequests;

it('answers odd requests with what is wrong, never with a fault of its own', function (): void {
    $scene = addSpot(aScene());
    $scene = $this->postJson("/api/scenes/{$scene['id']}/gestures/add-mask", ['strip' => $scene['strips'][1]['id'], 'kind' => 'linear', 'centre' => [32, 20], 'span' => 80])->json();
    $odd = new OddRequests($scene, (int) (getenv('ODD_SEED') ?: 1));
    $faults = [];
    for ($k = (int) (getenv('ODD_REQUESTS') ?: 500); $k > 0; $k--) {
        [$method, $path, $body] = $odd->next();
        $response = $this->call($method, $path, [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], $body);
        $status = $response->getStatusCode();
        $says = $status === 422 ? $response->json() : [];
        if ($status >= 500 || ($status === 422 && ! isset($says['field']) && ! isset($says['errors']))) {
            $faults[] = "{$status} {$method} {$path} ".mb_substr($body, 0, 200).' -> '.mb_substr((string) $response->getContent(), 0, 150).' '.($response->exception?->getMessage() ?? '');
        }
    }
    expect($faults)->toBe([]);
    // and the scene is still one
    $this->getJson("/api/scenes/{$scene['id']}")->assertOk();
});

it('refuses windows of too many pixels, whatever their shape', function (array $window, float $scale): void {
    $this->postJson('/api/scenes/'.aScene()['id'].'/picture', ['view' => 'v', 'number' => 1, 'draft' => false, 'window' => $window, 'scale' => $scale])
        ->assertStatus(422)->assertJsonValidationErrorFor('window');
})->with([[[0, 0, 1_000_000, 0.001], 1.0], [[0, 0, 0.001, 1_000_000], 16.0], [[0, 0, 4000, 4000], 1.0], [[0, 0, 1000, 1000], 16.0]]);
