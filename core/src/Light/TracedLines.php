<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Path;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\OwnShare;
use Aumbrel\Core\Ramp\Stops;

/** Lines of a width, brighter and dimmer on their way. */
final readonly class TracedLines implements Emitter
{
    use OwnShare;

    /** Curves are straight pieces that lie nowhere further off, px. */
    private const TOLERANCE = 0.05;

    /** @var list<list<array{float, float}>> */
    public array $lines;

    private string $name;

    /**
     * @param  non-empty-list<Path>  $traces
     * @param  bool  $isClosed  their ends are joined
     * @param  float  $width  scene pixels
     * @param  Stops  $fade  from start to end
     */
    public function __construct(array $traces, bool $isClosed, public float $width, public Stops $fade)
    {
        $this->lines = array_map(static fn (Path $path): array => $path->along(self::TOLERANCE, $isClosed), $traces);
        $this->name = 'lines '.hash('xxh128', serialize([$this->lines, $fade->toArray(), $width]));
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        return "{$kernel->plane(new LinesPlane($this, $window))}[\$i]";
    }

    public function extent(): ?Bounds
    {
        return Bounds::round(array_merge(...$this->lines))?->grown($this->width / 2 + 1);
    }

    /** By hand: the name is a hash of all lines, worked out once. */
    public function identity(): string
    {
        return $this->name;
    }

    public function isExact(): bool
    {
        return true;
    }
}
