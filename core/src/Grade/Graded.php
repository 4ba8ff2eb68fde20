<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\FromBelow;
use Aumbrel\Core\Kind\LinearTint;
use LogicException;

/** What a grade makes of the colour below. */
final readonly class Graded implements LinearTint
{
    use FromBelow;

    public function __construct(private Grade $grade)
    {
    }

    public function write(KernelWriter $kernel, BlendMode $mode): array
    {
        $graded = $this->below($kernel);
        $this->grade->write($kernel, $graded);

        return $graded;
    }

    public function worksInLinear(): bool
    {
        return $this->grade instanceof LinearGrade;
    }

    public function writeLinear(KernelWriter $kernel): array
    {
        $graded = $this->below($kernel);
        if (! $this->grade instanceof LinearGrade) {
            throw new LogicException('a grade of encoded colours');
        }
        if (! $this->grade->isNone()) {
            $this->grade->writeLinear($kernel, $graded);
        }

        return $graded;
    }

    /** @return array{string, string, string} variables that hold the colour below */
    private function below(KernelWriter $kernel): array
    {
        $below = [$kernel->variable('red'), $kernel->variable('green'), $kernel->variable('blue')];
        foreach ($below as $at => $channel) {
            $kernel->line("{$channel} = {$kernel->stored('rgb'[$at])};");
        }

        return $below;
    }

    public function mayExceed(): bool
    {
        return $this->grade->mayExceed();
    }
}
