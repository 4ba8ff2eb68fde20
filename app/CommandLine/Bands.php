<?php

declare(strict_types=1);

namespace App\CommandLine;

use App\Export\BandRenderer;
use App\Faults\RenderStopped;
use App\Render\Cores;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Render\Picture;
use Closure;

/** Renders for a command: in bands on every core, telling how far it is, and ending when whoever asked for it is gone. */
final readonly class Bands
{
    public const SWITCHES = ['progress', 'with-parent'];

    public const HELP = <<<'TEXT'
          --progress         lines "progress 0.42" while it works
          --with-parent      ends when whoever has started it is gone
        TEXT;

    /** The share of the work that is rendering; the rest is writing files. */
    private const RENDERING = 0.9;

    private int $parent;

    public function __construct(private Arguments $arguments)
    {
        $this->parent = posix_getppid();
    }

    /**
     * @param  Closure(Window): Picture  $render
     * @param  8|16  $bits
     * @param  string  $raw  the file that takes the rows
     * @param  int  $done  how many such pictures have been rendered of so many in all
     * @return int clipped pixels
     */
    public function render(Closure $render, Window $window, int $bits, string $raw, int $done = 0, int $all = 1): int
    {
        return (new BandRenderer($render, Cores::count(), $this->stillWanted(...)))->render($window, $bits, $raw, fn (float $share) => $this->tell(($done + $share) / $all));
    }

    public function stillWanted(): void
    {
        if ($this->arguments->has('with-parent') && posix_getppid() !== $this->parent) {
            throw new RenderStopped('Whoever asked for this picture is gone.');
        }
    }

    /** @param  float  $share  of what is rendered */
    public function tell(float $share): void
    {
        if ($this->arguments->has('progress')) {
            printf("progress %.3f\n", $share * self::RENDERING);
        }
    }
}
