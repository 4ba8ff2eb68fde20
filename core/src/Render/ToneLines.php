<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Scene\ToneLimits;

/** Plans the lines of a row that say how much of the tones passes. */
final class ToneLines
{
    /** So many there are. */
    private int $count = 0;

    /** Works out how much of the tones of the picture as it is now passes; gives the line that holds it. */
    public function below(Passes $passes, ToneLimits $limits): string
    {
        $passes->toEncoded();
        $kernel = $passes->writer();
        $kernel->loop();
        $line = $this->share($kernel, $limits, array_map($kernel->stored(...), ['r', 'g', 'b']));
        $passes->add($kernel);

        return $line;
    }

    /** The same of a layer's own tones. */
    public function of(Passes $passes, ToneLimits $limits, Layer $layer): string
    {
        $kernel = $passes->writer();
        $kernel->loop();
        $line = $this->share($kernel, $limits, $layer->tint->write($kernel, BlendMode::Normal));
        $passes->add($kernel, $layer->field->extent());

        return $line;
    }

    /** @param  array<int, string>  $colour  expressions of three encoded values */
    private function share(KernelWriter $kernel, ToneLimits $limits, array $colour): string
    {
        $line = 'tones'.$this->count++;
        $kernel->inline([ToneLimits::class, 'share'], [(string) $kernel->expression([Luma::class, 'of'], array_values($colour)), ...array_map($kernel->number(...), $limits->numbers())], $kernel->stored($line));

        return $line;
    }
}
