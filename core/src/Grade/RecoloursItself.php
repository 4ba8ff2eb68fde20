<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Kind\Site;

/** For kinds that are the grade themselves. */
trait RecoloursItself
{
    use Recolours;

    private function grade(Site $site): Grade
    {
        return $this;
    }
}
