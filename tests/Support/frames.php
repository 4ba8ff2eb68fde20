<?php

declare(strict_types=1);

/**
 * The frames of a picture's answer: each the length and the text of a JSON head, and behind it the pixels of its rows.
 *
 * @return list<array{head: array<string, mixed>, pixels: string}>
 */
function framesOf(string $reply): array
{
    $frames = [];
    for ($at = 0; $at < strlen($reply);) {
        $length = unpack('V', substr($reply, $at, 4))[1];
        $head = json_decode(substr($reply, $at + 4, $length), true, flags: JSON_THROW_ON_ERROR);
        $bytes = isset($head['rows']) ? $head['columns'] * $head['rows'] * 4 * max(1, count($head['strips'] ?? [])) : 0;
        $frames[] = ['head' => $head, 'pixels' => substr($reply, $at + 4 + $length, $bytes)];
        $at += 4 + $length + $bytes;
    }

    return $frames;
}
