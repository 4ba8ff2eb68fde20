<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\OwnShare;

/**
 * What a shadow darkens beyond others of the same source that lie under it: where they already took c of the light, and it would take
 * d, it takes (d - c) / (1 - c) of what is left, so that together they are as dark as the darkest.
 */
final readonly class DarkerThan implements Field
{
    use IdentityOfAll;
    use OwnShare;

    /**
     * @param  float  $density  of the shadow, above 0
     * @param  non-empty-list<array{Field, float}>  $others  with their densities
     */
    public function __construct(private Field $field, private float $density, private array $others)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        [$taken, $more] = [$kernel->variable('taken'), $kernel->variable('more')];
        $kernel->line("{$taken} = 0.0;");
        foreach ($this->others as [$other, $density]) {
            $value = $other->write($kernel, $window);
            $kernel->line("if ({$value} * {$kernel->number($density)} > {$taken}) { {$taken} = {$value} * {$kernel->number($density)}; }");
        }
        $value = $this->field->write($kernel, $window);
        $kernel->line("{$more} = {$value} * {$kernel->number($this->density)} - {$taken}; {$more} = {$more} > 0.0 && {$taken} < 1.0 ? {$more} / (1.0 - {$taken}) * {$kernel->number(1 / $this->density)} : 0.0;");

        return $more;
    }

    public function extent(): ?Extent
    {
        return $this->field->extent();
    }
}
