<?php

declare(strict_types=1);

namespace App\Render\Pool;

use App\Scenes\PictureLibrary;
use Aumbrel\Core\Fault\Withdrawn;
use Closure;
use Throwable;

/** An errand that is no picture to be rendered but one to be decoded: done by a process of its own, so that the others go on. */
final readonly class TakeIn
{
    private const FIRST = "take in\n";

    /** Tells how far it is no more often than this. */
    private const WORD_SECONDS = 0.1;

    public function __construct(public string $path, public string $name, public string $progressFile)
    {
    }

    public static function isOne(string $payload): bool
    {
        return str_starts_with($payload, self::FIRST);
    }

    public static function unpack(string $payload): self
    {
        /** @var array{path: string, name: string, progressFile: string} $raw */
        $raw = json_decode(substr($payload, strlen(self::FIRST)), true, 4, JSON_THROW_ON_ERROR);

        return new self(...$raw);
    }

    public function pack(): string
    {
        return self::FIRST.json_encode(get_object_vars($this), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    /**
     * Decodes it.
     *
     * @param  Closure(): void  $step  told every tenth of a second while it goes on; may throw to end it
     * @param  Closure(Throwable): array{status: int, message: string}  $words  for what goes wrong
     * @return array{status: int, problem: string}|null what went wrong
     *
     * @throws Withdrawn
     */
    public function done(PictureLibrary $library, Closure $step, Closure $words): ?array
    {
        $said = 0.0;
        try {
            $library->prepare($this->path, $this->name, function (float $share) use (&$said, $step): void {
                if (microtime(true) - $said >= self::WORD_SECONDS) {
                    $said = microtime(true);
                    @file_put_contents($this->progressFile, sprintf('%.4F', $share));
                    $step();
                }
            });

            return null;
        } catch (Withdrawn $gone) {
            throw $gone;
        } catch (Throwable $error) {
            ['status' => $status, 'message' => $problem] = $words($error);
            if ($status >= 500) {
                report($error);
            }

            return ['status' => $status, 'problem' => $problem];
        }
    }
}
