<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\OwnShare;

/** What the folds of one sheet throw on one surface: along a fold the one goes on where the other ends, so that they add up. */
final readonly class Folded implements Field
{
    use IdentityOfAll;
    use OwnShare;

    /** @param  non-empty-list<Piece>  $pieces */
    private function __construct(private array $pieces)
    {
    }

    /** @param  non-empty-list<Piece>  $pieces */
    public static function of(array $pieces): Field
    {
        return count($pieces) === 1 ? $pieces[0] : new self($pieces);
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $shade = $kernel->variable('folded');
        foreach ($this->pieces as $k => $piece) {
            $kernel->line("{$shade} ".($k === 0 ? '=' : '+=')." {$piece->write($kernel, $window)};");
        }
        $kernel->line("if ({$shade} > 1.0) { {$shade} = 1.0; }");

        return $shade;
    }

    public function extent(): ?Bounds
    {
        return Bounds::around(array_map(static fn (Piece $piece): ?Bounds => $piece->extent(), $this->pieces));
    }
}
