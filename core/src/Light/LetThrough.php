<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;

/**
 * A field through which dark and bright tones of what lies beneath the strip show. The layers of one strip are laid one on the
 * other: the first of them keeps the tones that were there before any.
 */
final readonly class LetThrough implements Field
{
    use IdentityOfAll;

    /** The line of the row that holds the luma beneath the strip. */
    private const LINE = 'beneath';

    public function __construct(private Field $field, private BetweenTones $between, private bool $isFirst)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $beneath = $kernel->stored(self::LINE);
        if ($this->isFirst) {
            $at = static fn (string $line): string => str_replace('$c', '$n', $line);
            $luma = $kernel->expression([Luma::class, 'of'], array_map(static fn (string $channel): string => $at($kernel->stored($channel)), ['r', 'g', 'b']));
            $kernel->row("for (\$n = \$from; \$n < \$to; \$n++) { {$at($beneath)} = {$luma}; }");
        }
        $shape = $this->field->write($kernel, $window);
        [$share, $through] = [$kernel->variable('share'), $kernel->variable('through')];
        $kernel->line("{$through} = {$shape}; if ({$through} > 0.0) {");
        $kernel->inline([BetweenTones::class, 'share'], [$beneath, $kernel->number($this->between->darks), $kernel->number($this->between->brights)], $share);
        $kernel->line("{$through} *= {$share}; }");

        return $through;
    }

    /** The whole row: the tones are kept for layers that reach further. */
    public function extent(): ?Extent
    {
        return $this->isFirst ? null : $this->field->extent();
    }

    public function largest(): float
    {
        return $this->field->largest();
    }

    public function readsBelow(): bool
    {
        return true;
    }
}
