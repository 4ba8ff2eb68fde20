<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;

/** Whether the server answers, and which start of it this is. */
final class HealthController
{
    /** Whether the server answers. */
    public function __invoke(): JsonResponse
    {
        return new JsonResponse(['answers' => true, 'instance' => config('aumbrel.instance')]);
    }
}
