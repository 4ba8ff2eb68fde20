<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\FromBelow;
use Aumbrel\Core\Kind\Tint;

/** What a grade makes of the colour below. */
final readonly class Graded implements Tint
{
    use FromBelow;

    public function __construct(private Grade $grade)
    {
    }

    public function write(KernelWriter $kernel, BlendMode $mode): array
    {
        $graded = [$kernel->variable('red'), $kernel->variable('green'), $kernel->variable('blue')];
        foreach ($graded as $at => $channel) {
            $kernel->line("{$channel} = {$kernel->stored('rgb'[$at])};");
        }
        $this->grade->write($kernel, $graded);

        return $graded;
    }

    public function mayExceed(): bool
    {
        return $this->grade->mayExceed();
    }
}
