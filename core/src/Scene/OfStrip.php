<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Stage\Stage;

/** What a strip finds around it that follows from the scene alone, whether it is rendered or read. */
trait OfStrip
{
    abstract private function strip(): Strip;

    abstract private function scene(): Scene;

    public function id(): string
    {
        return $this->strip()->id;
    }

    public function mode(): BlendMode
    {
        return $this->strip()->mode;
    }

    public function level(): float
    {
        return $this->strip()->level;
    }

    public function amount(): float
    {
        return $this->strip()->amount;
    }

    public function confinedTo(): ?string
    {
        return $this->strip()->confinedTo;
    }

    public function white(): float
    {
        return $this->scene()->white;
    }

    public function stage(): Stage
    {
        return $this->scene()->stage;
    }

    public function hasEmitter(): bool
    {
        return $this->strip()->emitter() !== [];
    }

    public function plate(string $id): ?Pictured
    {
        return $this->scene()->plate($id);
    }
}
