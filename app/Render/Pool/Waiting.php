<?php

declare(strict_types=1);

namespace App\Render\Pool;

/** Answers that are awaited, by the parts of a picture that they are for. Letting it go withdraws what has not come. */
final class Waiting
{
    /** The dispatcher says every second that it works; when it has been silent for this long it is lost. */
    private const PATIENCE_SECONDS = 20.0;

    /** @var array<int, string> */
    private array $heard = [];

    private float $lastWord;

    /** @param  array<int, resource>  $lines by part */
    public function __construct(private array $lines)
    {
        $this->lastWord = microtime(true);
        foreach ($lines as $at => $line) {
            stream_set_blocking($line, false);
            $this->heard[$at] = '';
        }
    }

    public function isOver(): bool
    {
        return $this->lines === [];
    }

    /**
     * What comes in within a time, by part; null for a part whose line broke. Returns as soon as anything has come.
     *
     * @return array<int, string|null>
     */
    public function take(float $seconds): array
    {
        $until = microtime(true) + $seconds;
        do {
            $answers = $this->takeOnce(max(0.0, $until - microtime(true)));
        } while ($answers === [] && $this->lines !== [] && microtime(true) < $until);

        return $answers;
    }

    /** @return array<int, string|null> */
    private function takeOnce(float $seconds): array
    {
        $read = array_values($this->lines);
        $write = $except = null;
        if ($read === [] || @stream_select($read, $write, $except, (int) $seconds, (int) (fmod($seconds, 1) * 1e6)) === false) {
            return [];
        }
        $answers = [];
        foreach ($this->lines as $at => $line) {
            if (in_array($line, $read, true)) {
                $answers += $this->hear($at, $line);
            }
        }
        if ($answers === [] && microtime(true) - $this->lastWord > self::PATIENCE_SECONDS) {
            $answers = array_map(static fn (): ?string => null, $this->lines);
            $this->lines = [];
        }

        return $answers;
    }

    /**
     * @param  resource  $line
     * @return array<int, string|null>
     */
    private function hear(int $at, $line): array
    {
        $bytes = @fread($line, 1 << 22);
        if ($bytes === false || ($bytes === '' && feof($line))) {
            unset($this->lines[$at]);

            return [$at => null];
        }
        $this->lastWord = microtime(true);
        $this->heard[$at] .= $bytes;
        while (($answer = Frame::take($this->heard[$at])) !== null) {
            if ($answer !== Answer::Working->value) {
                fclose($line);
                unset($this->lines[$at], $this->heard[$at]);

                return [$at => $answer];
            }
        }

        return [];
    }
}
