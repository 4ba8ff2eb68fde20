<?php

declare(strict_types=1);

namespace App\Render\Pool;

use App\Faults\DiskFull;
use App\Render\PaintedReply;
use App\Render\StrokesMissing;
use Aumbrel\Core\Fault\NotKept;
use Aumbrel\Core\Fault\PictureLost;
use Aumbrel\Core\Fault\SceneError;

/** Reads what a render process answers. */
final class Reply
{
    /**
     * @return PaintedReply|Dropped|StrokesMissing|null null when the process was lost while it rendered
     *
     * @throws SceneError when the scene cannot be rendered
     * @throws DiskFull|PictureLost when something could not be kept or read
     */
    public static function read(string $answer): PaintedReply|Dropped|StrokesMissing|null
    {
        $rest = substr($answer, 1);

        return match (Answer::tryFrom($answer[0] ?? '')) {
            Answer::Painted => PaintedReply::unpack($rest),
            Answer::Dropped, Answer::Withdrawn => new Dropped,
            Answer::Missing => self::missing($rest),
            Answer::Problem => throw self::problem($rest),
            Answer::Fault => throw self::fault($rest),
            default => null,
        };
    }

    /** The rows of the picture that were rendered for a painted answer. */
    public static function rowsOf(string $answer): int
    {
        return PaintedReply::head(substr($answer, 1, 1 << 16))['worked'];
    }

    private static function missing(string $json): StrokesMissing
    {
        /** @var list<string> $keys */
        $keys = json_decode($json, true, 4, JSON_THROW_ON_ERROR);

        return new StrokesMissing($keys);
    }

    private static function problem(string $json): SceneError
    {
        /** @var array{field: string, reason: string} $problem */
        $problem = json_decode($json, true, 8, JSON_THROW_ON_ERROR);

        return new SceneError($problem['field'], $problem['reason']);
    }

    private static function fault(string $json): DiskFull|PictureLost
    {
        /** @var array{class: string, about: string} $fault */
        $fault = json_decode($json, true, 8, JSON_THROW_ON_ERROR);

        return $fault['class'] === NotKept::class ? DiskFull::writing(ucfirst($fault['about'])) : new PictureLost($fault['about']);
    }
}
