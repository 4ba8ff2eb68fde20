<?php

declare(strict_types=1);

namespace App\Http;

use App\Codecs\UnreadablePicture;
use App\Faults\DatabaseFault;
use App\Faults\DiskFull;
use App\Faults\Fault;
use App\Faults\NotPossible;
use App\Scenes\NoPackedScene;
use App\Scenes\SceneChanged;
use App\Scenes\StripChanged;
use Aumbrel\Core\Fault\NotKept;
use Aumbrel\Core\Fault\PictureLost;
use Aumbrel\Core\Fault\SceneError;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use PDOException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Throwable;

/** What went wrong, in a sentence and with the field, for the interface to show in place. */
final class ErrorReplies
{
    /** What people do wrong is told to them and to nobody else. */
    private const NOT_REPORTED = [SceneError::class, NotPossible::class, UnreadablePicture::class, NoPackedScene::class, StripChanged::class, SceneChanged::class];

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport(self::NOT_REPORTED);
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*'));
        $exceptions->render(static function (Throwable $error, Request $request): ?JsonResponse {
            // validation names its fields by itself
            if (! $request->is('api/*') || $error instanceof ValidationException) {
                return null;
            }
            ['status' => $status] = $words = self::words($error);

            return new JsonResponse(array_diff_key($words, ['status' => 0]), $status);
        });
    }

    /** @return array{status: int, message: string, field?: string, strip?: string} */
    public static function words(Throwable $error): array
    {
        $is = static fn (int $status, string $message, array $more = []): array => ['status' => $status, 'message' => $message, ...$more];

        /** @var array{status: int, message: string, field?: string, strip?: string} */
        return match (true) {
            // whole reasons are said as they are; "expected ..." needs the field's name before it
            $error instanceof SceneError => $is(422, str_starts_with($error->reason, 'expected') ? $error->getMessage() : ucfirst($error->reason).'.', ['field' => $error->field]),
            $error instanceof NotPossible => $is(422, $error->getMessage(), ['field' => $error->field]),
            $error instanceof UnreadablePicture => $is(422, $error->getMessage(), ['field' => 'file']),
            $error instanceof NoPackedScene => $is(422, "The file {$error->getMessage()}.", ['field' => 'file']),
            $error instanceof StripChanged => $is(409, $error->getMessage(), ['strip' => $error->strip]),
            $error instanceof SceneChanged => $is(409, $error->getMessage()),
            $error instanceof Fault => $is($error->status(), $error->getMessage()),
            $error instanceof NotKept => self::words(DiskFull::writing(ucfirst($error->what), $error)),
            $error instanceof PictureLost => $is(500, 'The stored rows of a picture are missing or damaged. Bring the picture in again.'),
            $error instanceof PDOException => self::words(DatabaseFault::of($error)),
            $error instanceof NotFoundHttpException => $is(404, 'That is not here any more. It may have been deleted in another window.'),
            $error instanceof TokenMismatchException, $error instanceof HttpExceptionInterface && $error->getStatusCode() === 419 => $is(419, 'This page has been open for too long. Load it again; nothing is lost.'),
            $error instanceof HttpExceptionInterface => $is($error->getStatusCode(), $error->getMessage() ?: "The server would not do that ({$error->getStatusCode()})."),
            default => $is(500, 'Aumbrel met a fault of its own and wrote nothing. storage/logs/aumbrel.log says more.'),
        };
    }
}
