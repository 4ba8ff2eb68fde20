<?php

declare(strict_types=1);

namespace App\Render\Pool;

/** What the dispatcher tells a render process: a number and what to render, or with no payload that the errand is withdrawn. */
final readonly class Errand
{
    public function __construct(public int $number, public string $payload)
    {
    }

    public static function read(string $message): self
    {
        return new self(unpack('P', $message)[1] ?? 0, substr($message, 8));
    }

    public function pack(): string
    {
        return pack('P', $this->number).$this->payload;
    }
}
