<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Mask\Join;
use Aumbrel\Core\Scene\Strip;

/** Writes the loop that works out how much of a strip there is at each column, and where it begins and ends. */
final readonly class Coverage
{
    /** The line of the row that holds the cover of the strip being mixed. */
    private const LINE = 'cover';

    public function __construct(private KernelWriter $kernel, private Window $window)
    {
    }

    public function begin(): void
    {
        $this->kernel->row('$first = 0; $end = 0;');
        $this->kernel->loop();
    }

    /**
     * Multiplies the confinement and the masks of a strip into a variable.
     *
     * @param  string|null  $uncovered  the expression for the confinement
     */
    public function masks(Strip $strip, string $cover, ?string $uncovered): void
    {
        if ($uncovered !== null) {
            $this->kernel->line("{$cover} *= {$uncovered};");
        }
        $masks = $strip->activeMasks();
        if ($masks === []) {
            return;
        }
        $joined = $this->kernel->variable('joined');
        foreach ($masks as $at => $entry) {
            $value = $entry->mask->write($this->kernel, $this->window);
            if ($entry->inverted) {
                $value = "(1.0 - {$value})";
            }
            $this->kernel->line("{$joined} = {$this->join($entry->join, $joined, $value, $at === 0)};");
        }
        $this->kernel->line("{$cover} *= {$joined};");
    }

    /** Hands first and last column on to another kernel. */
    public function handOn(): void
    {
        $this->kernel->closing("\$lines['first'] = \$first; \$lines['end'] = \$end;");
    }

    /** Goes on where another kernel has worked out the cover; gives the line that holds it. */
    public function goOn(): string
    {
        $this->kernel->row("\$first = \$lines['first']; \$end = \$lines['end'];");

        return $this->kernel->stored(self::LINE);
    }

    /** Keeps the cover for the loops that follow; gives the line that holds it. */
    public function keep(string $cover): string
    {
        $line = $this->kernel->stored(self::LINE);
        $this->kernel->line("if ({$cover} > 0.0) { if (\$end === 0) { \$first = \$c; } \$end = \$c + 1; }");
        $this->kernel->line("{$line} = {$cover};");

        return $line;
    }

    private function join(Join $join, string $joined, string $value, bool $isFirst): string
    {
        return match (true) {
            $isFirst && $join === Join::TakeAway => "1.0 - {$value}",
            $isFirst => $value,
            $join === Join::Intersect => "{$joined} * {$value}",
            $join === Join::Add => "{$joined} + {$value} - {$joined} * {$value}",
            default => "{$joined} * (1.0 - {$value})",
        };
    }
}
