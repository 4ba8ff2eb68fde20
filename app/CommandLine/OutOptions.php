<?php

declare(strict_types=1);

namespace App\CommandLine;

use App\Codecs\Finish;
use App\Codecs\Primaries;
use App\Export\Ordered;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Pictured;

/** Options of whatever writes a whole picture: its size, its sharpening for that, its colours, and what its source said of itself. */
final readonly class OutOptions
{
    public const VALUED = ['long-side', 'percent', 'sharpen', 'colours'];

    public const SWITCHES = ['metadata'];

    public const HELP = <<<'TEXT'
          --long-side N      pixels of the longer side: rendered whole, then reduced
          --percent P        of the scene's size, 1 to 400
          --sharpen P        percent, for that size (default 0)
          --colours srgb|p3  in which it is written (default srgb)
          --metadata         with what the backdrop's file says of itself
        TEXT;

    /** @param  float  $scale  at which it is rendered: above 1 where it is to be larger than the scene */
    private function __construct(public float $scale, public Finish $finish)
    {
    }

    public static function of(Arguments $arguments, NamedScene $named): self
    {
        $scene = $named->scene;
        if ($arguments->has('long-side') && $arguments->has('percent')) {
            throw new Problem('--long-side and --percent do not go together');
        }
        $wanted = $arguments->has('long-side')
            ? $arguments->number('long-side', 0, 1, Ordered::LONGEST_SIDE) / max($scene->width, $scene->height)
            : $arguments->number('percent', 100, 1, 400) / 100;
        $size = $wanted < 1 ? [max(1, (int) round($scene->width * $wanted)), max(1, (int) round($scene->height * $wanted))] : null;

        return new self(max(1.0, $wanted), new Finish($size, (int) $arguments->number('sharpen', 0, 0, 200), self::colours($arguments), $arguments->has('metadata') ? self::backdrop($named) : null));
    }

    public function isWhole(): bool
    {
        return $this->scale === 1.0 && $this->finish->size === null;
    }

    /** @return array{int, int} columns and rows of what is written */
    public function size(Window $window): array
    {
        return $this->finish->size ?? [$window->columns, $window->rows];
    }

    private static function colours(Arguments $arguments): Primaries
    {
        $text = $arguments->text('colours') ?? Primaries::Srgb->value;

        return Primaries::tryFrom($text) ?? throw new Problem('--colours: expected '.implode(' or ', array_column(Primaries::cases(), 'value')).", found \"{$text}\"");
    }

    /** The file of the lowest plate. */
    private static function backdrop(NamedScene $named): ?string
    {
        foreach ($named->scene->everyStrip() as $strip) {
            if ($strip->kind instanceof Pictured) {
                return $named->original($strip->kind->picture());
            }
        }

        return null;
    }
}
