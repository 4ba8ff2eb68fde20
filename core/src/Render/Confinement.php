<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Seen\PlateWords;

/** How much of each plate that something is confined to is uncovered: a line of the row for each. */
final class Confinement
{
    /** @var array<string, string> the line, by plate */
    private array $lines = [];

    /** @var array<string, int> the place of each strip in the stack */
    private readonly array $heights;

    /**
     * @param  list<Strip>  $strips  of one stack: the scene's, or a closed group's, which sees its own plates only
     * @param  int  $number  of the stack
     */
    public function __construct(private readonly Sites $sites, StripLayers $layers, array $strips, int $number = 0)
    {
        $this->heights = array_flip(array_map(static fn (Strip $strip): string => $strip->id, $sites->scene->everyStrip()));
        foreach (self::stack($strips) as $strip) {
            foreach ([$strip->confinedTo, ...array_map(static fn (Layer $layer): ?string => $layer->within, $layers->of($strip))] as $plate) {
                if ($plate !== null) {
                    $this->lines[$plate] ??= "uncovered{$number}_".count($this->lines);
                }
            }
        }
    }

    /**
     * @param  list<Strip>  $strips
     * @return list<Strip> with what open groups hold
     */
    private static function stack(array $strips): array
    {
        return array_merge(...array_map(static fn (Strip $strip): array => [$strip, ...($strip->closed ? [] : self::stack($strip->strips))], $strips));
    }

    /** Writes what is uncovered before anything lies above the plates: all of them; nothing of one that is not there. */
    public function begin(Passes $passes): void
    {
        foreach ($this->lines as $plate => $line) {
            $seen = $this->sites->seen((string) $plate);
            $kernel = $passes->writer();
            $kernel->loop();
            $kernel->line("{$kernel->stored($line)} = ".($seen === null ? '0.0' : PlateWords::alpha($kernel, $seen)).';');
            $passes->add($kernel);
        }
    }

    /** @return list<string> the lines that say how much there may be of a layer */
    public function of(Strip $strip, ?Layer $layer): array
    {
        $plates = array_unique(array_filter([$strip->confinedTo, $layer?->within], static fn (?string $plate): bool => $plate !== null));

        return array_values(array_map(fn (string $plate): string => $this->lines[$plate], $plates));
    }

    /** @return list<string> the lines of the plates that lie under a strip */
    public function under(Strip $strip): array
    {
        $under = [];
        foreach ($this->lines as $plate => $line) {
            if (($this->heights[$plate] ?? INF) < $this->heights[$strip->id]) {
                $under[] = $line;
            }
        }

        return $under;
    }
}
