<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** A picture of 16 bits whose values are asked for again and again: each kind of them is taken out of its bytes once. */
final class ReadPicture
{
    /** @var list<float>|null */
    private ?array $lumas = null;

    /** @var list<float>|null */
    private ?array $alphas = null;

    /** @var array{list<float>, list<float>, list<float>}|null */
    private ?array $channels = null;

    public function __construct(private readonly Picture $picture)
    {
    }

    /** @return list<float> {@see Picture::lumas()} */
    public function lumas(): array
    {
        return $this->lumas ??= $this->picture->lumas();
    }

    /** @return list<float> {@see Picture::alphas()} */
    public function alphas(): array
    {
        return $this->alphas ??= $this->picture->alphas();
    }

    /** @return array{list<float>, list<float>, list<float>} {@see Picture::channels()} */
    public function channels(): array
    {
        return $this->channels ??= $this->picture->channels();
    }

    /** @return array<int, true> {@see Picture::cutOff()} */
    public function cutOff(): array
    {
        return $this->picture->cutOff();
    }
}
