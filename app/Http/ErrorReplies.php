<?php

declare(strict_types=1);

namespace App\Http;

use App\Codecs\UnreadablePicture;
use App\Scenes\StripChanged;
use Aumbrel\Core\Scene\SceneError;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What went wrong, in a sentence and with the field, for the interface to show in place. */
final class ErrorReplies
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([SceneError::class, NotPossible::class, UnreadablePicture::class, StripChanged::class]);
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*'));
        $exceptions->render(static fn (SceneError $error): JsonResponse => self::reply(422, $error->getMessage(), ['field' => $error->field]));
        $exceptions->render(static fn (NotPossible $error): JsonResponse => self::reply(422, $error->getMessage(), ['field' => $error->field]));
        $exceptions->render(static fn (UnreadablePicture $error): JsonResponse => self::reply(422, $error->getMessage(), ['field' => 'file']));
        $exceptions->render(static fn (StripChanged $error): JsonResponse => self::reply(409, $error->getMessage(), ['strip' => $error->strip]));
        $exceptions->render(static function (NotFoundHttpException $error, Request $request): ?JsonResponse {
            return $request->is('api/*') ? self::reply(404, 'That is not here any more. It may have been deleted in another window.') : null;
        });
        $exceptions->render(static function (HttpExceptionInterface $error, Request $request): ?JsonResponse {
            return $request->is('api/*') && $error->getStatusCode() === 419
                ? self::reply(419, 'This page has been open for too long. Load it again; nothing is lost.') : null;
        });
    }

    /** @param  array<string, string>  $more */
    private static function reply(int $status, string $message, array $more = []): JsonResponse
    {
        return new JsonResponse(['message' => $message, ...$more], $status);
    }
}
