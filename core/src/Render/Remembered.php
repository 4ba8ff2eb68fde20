<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Closure;

/** What was measured of a scene and holds for the next one too; what was not asked for longest is forgotten. */
final class Remembered
{
    /** A state of a scene's plates has two of them, and two a plate; the picture of it takes some megabytes. */
    private const MOST = 16;

    /** @var array<string, mixed> the latest last */
    private array $known = [];

    /**
     * @template T
     *
     * @param  string  $key  names everything that it depends on
     * @param  Closure(): T  $measure
     * @return T
     */
    public function of(string $key, Closure $measure): mixed
    {
        /** @var T $value */
        $value = array_key_exists($key, $this->known) ? $this->known[$key] : $measure();
        unset($this->known[$key]);
        $this->known = array_slice([...$this->known, $key => $value], -self::MOST, null, true);

        return $value;
    }
}
