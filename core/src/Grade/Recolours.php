<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kind\Amount;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;

/** What grades have in common: they change the colours of all that lies below, and add nothing where nothing is. */
trait Recolours
{
    use Plain;

    /** What it makes of a colour. */
    abstract private function grade(Site $site): Grade;

    public static function family(): Family
    {
        return Family::Grade;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Normal;
    }

    public function layers(Site $site): array
    {
        return [new Layer($site->mode(), new Everywhere, new Graded($this->grade($site)), new Amount($site->amount()), recolours: true)];
    }
}
