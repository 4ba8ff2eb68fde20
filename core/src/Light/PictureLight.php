<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Transfer;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\OwnShare;
use Aumbrel\Core\Picture\PictureSource;

/** How bright a picture is by its largest channel: with the colour divided by that it is the picture again. */
final readonly class PictureLight implements Field
{
    use IdentityOfAll;
    use OwnShare;

    /** @var array{Field, Field, Field} */
    private array $channels;

    /** @param  bool  $isLinear  for modes that mix in linear light */
    public function __construct(PictureSource $picture, Placement $placement, private bool $isLinear, float $softness, Window $window)
    {
        $this->channels = self::channels($picture, $placement, $softness, $window);
    }

    /** @return array{Field, Field, Field} red, green and blue, encoded */
    public static function channels(PictureSource $picture, Placement $placement, float $softness, Window $window): array
    {
        $soft = static fn (Emitter $channel): Field => $softness > 0.05 ? new Softened($channel, $softness, false) : new Contracted($channel);

        return [$soft(new PictureChannel($picture, $placement, 0)), $soft(new PictureChannel($picture, $placement, 1)), $soft(new PictureChannel($picture, $placement, 2))];
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $most = $kernel->variable('most');
        $values = array_map(static fn (Field $channel): string => $channel->write($kernel, $window), $this->channels);
        $kernel->line("{$most} = {$values[0]}; if ({$values[1]} > {$most}) { {$most} = {$values[1]}; } if ({$values[2]} > {$most}) { {$most} = {$values[2]}; }");
        if ($this->isLinear) {
            $kernel->line("if ({$most} > 0.0) {");
            $kernel->inline([Transfer::class, 'decode'], [$most], $most);
            $kernel->line('}');
        }

        return $most;
    }

    public function extent(): ?Extent
    {
        return $this->channels[0]->extent();
    }
}
