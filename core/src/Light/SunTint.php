<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\EncodedTint;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Tint;

/** Colours that were blurred premultiplied: red, green and blue, each by how much there is. */
final readonly class SunTint implements Tint
{
    use EncodedTint;

    /**
     * @param  array{Field, Field, Field}  $channels  encoded, premultiplied
     * @param  Field  $cover  how much there is
     */
    public function __construct(private array $channels, private Field $cover, private Window $window)
    {
    }

    public function write(KernelWriter $kernel, BlendMode $mode): array
    {
        $whole = $kernel->variable('whole');
        $colour = [$kernel->variable('red'), $kernel->variable('green'), $kernel->variable('blue')];
        $kernel->line("{$whole} = {$this->cover->write($kernel, $this->window)}; {$whole} = {$whole} > 1.0e-7 ? 1.0 / {$whole} : 0.0;");
        foreach ($colour as $at => $channel) {
            $kernel->line("{$channel} = {$this->channels[$at]->write($kernel, $this->window)} * {$whole}; if ({$channel} > 1.0) { {$channel} = 1.0; } elseif ({$channel} < 0.0) { {$channel} = 0.0; }");
        }

        return [$colour[0], $colour[1], $colour[2]];
    }
}
