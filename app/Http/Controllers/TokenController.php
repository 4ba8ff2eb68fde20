<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Takes;
use App\Http\Tokens;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Tokens for scripts. */
final readonly class TokenController
{
    public function __construct(private Tokens $tokens)
    {
    }

    /** The tokens that hold, without what they are. */
    public function index(): JsonResponse
    {
        return new JsonResponse(['tokens' => $this->tokens->all()]);
    }

    /** Makes a token; it is told only this once. */
    #[Takes(['name' => 'required|string|max:'.Tokens::LONGEST_NAME])]
    public function store(Request $request): JsonResponse
    {
        $token = $this->tokens->make((string) $request->string('name'));

        return new JsonResponse(['token' => $token, 'tokens' => $this->tokens->all()], 201);
    }

    /** Withdraws a token. */
    public function destroy(string $token): JsonResponse
    {
        $this->tokens->withdraw($token);

        return $this->index();
    }
}
