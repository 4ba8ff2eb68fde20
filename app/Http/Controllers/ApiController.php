<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api\OpenApi;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;

/** The API, described for people and for programs. */
final class ApiController
{
    public function page(): View
    {
        $document = OpenApi::document();
        $sections = [];
        foreach (is_array($document['paths']) ? $document['paths'] : [] as $path => $verbs) {
            foreach (is_array($verbs) ? $verbs : [] as $verb => $operation) {
                /** @var array{tags: list<string>, summary: string} $operation */
                $sections[$operation['tags'][0]][] = ['path' => $path, 'verb' => strtoupper((string) $verb), 'summary' => $operation['summary'], 'about' => json_encode(array_diff_key($operation, ['tags' => 0, 'summary' => 0]), JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)];
            }
        }

        return view('api', ['document' => $document, 'sections' => $sections]);
    }

    /** This description (OpenAPI 3.1). */
    public function document(): JsonResponse
    {
        return new JsonResponse(OpenApi::document());
    }
}
