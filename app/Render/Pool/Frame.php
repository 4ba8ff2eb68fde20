<?php

declare(strict_types=1);

namespace App\Render\Pool;

/** Messages on a stream: their length, then their bytes. */
final class Frame
{
    private const LARGEST = 1 << 30;

    private const PATIENCE = 10;

    public static function wrap(string $message): string
    {
        return pack('V', strlen($message)).$message;
    }

    /** @param  resource  $stream */
    public static function send($stream, string $message): bool
    {
        $bytes = self::wrap($message);
        $sent = 0;
        while ($sent < strlen($bytes)) {
            $count = @fwrite($stream, $sent === 0 ? $bytes : substr($bytes, $sent));
            if ($count === false) {
                return false;
            }
            $sent += $count;
            if ($count === 0 && ! self::waitToWrite($stream)) {
                return false;
            }
        }

        return true;
    }

    /**
     * Reads one message from a blocking stream.
     *
     * @param  resource  $stream
     */
    public static function receive($stream): ?string
    {
        $head = self::exactly($stream, 4);
        $length = $head === null ? null : unpack('V', $head)[1] ?? null;

        return is_int($length) && $length <= self::LARGEST ? self::exactly($stream, $length) : null;
    }

    /** Takes the first whole message off a buffer, or null when it has not come in whole. */
    public static function take(string &$buffer): ?string
    {
        $length = strlen($buffer) < 4 ? null : unpack('V', $buffer)[1] ?? null;
        if (! is_int($length) || strlen($buffer) < 4 + $length) {
            return null;
        }
        $message = substr($buffer, 4, $length);
        $buffer = substr($buffer, 4 + $length);

        return $message;
    }

    /** @param  resource  $stream */
    private static function exactly($stream, int $length): ?string
    {
        $bytes = $length === 0 ? '' : stream_get_contents($stream, $length);

        return is_string($bytes) && strlen($bytes) === $length ? $bytes : null;
    }

    /** @param  resource  $stream */
    private static function waitToWrite($stream): bool
    {
        $read = $except = null;
        $write = [$stream];

        return @stream_select($read, $write, $except, self::PATIENCE) === 1 && ! feof($stream);
    }
}
