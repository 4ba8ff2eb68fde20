<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Scene\MaskEntry;
use Closure;

/** Writes what several masks make together at the current place. */
final class JoinedMasks
{
    /**
     * @param  non-empty-list<MaskEntry>  $masks
     * @param  Closure(MaskEntry): string  $write  gives the expression of one of them
     * @return string the variable that holds it
     */
    public static function write(KernelWriter $kernel, array $masks, Closure $write): string
    {
        $joined = $kernel->variable('joined');
        foreach ($masks as $at => $entry) {
            $value = $write($entry);
            if ($entry->inverted) {
                $value = "(1.0 - {$value})";
            }
            if ($entry->lets !== MaskEntry::ALL) {
                [$least, $most] = $entry->lets;
                $value = "({$kernel->number($least)} + {$kernel->number($most - $least)} * {$value})";
            }
            $join = $at === 0 ? $entry->join->first() : $entry->join;
            $kernel->line("{$joined} = {$kernel->expression($join->formula(), $at === 0 ? ['1.0', $value] : [$joined, $value])};");
        }

        return $joined;
    }
}
