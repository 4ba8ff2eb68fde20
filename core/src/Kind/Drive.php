<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Stage\Footing;
use Aumbrel\Core\Stage\SceneSource;
use Aumbrel\Core\Stage\Stage;

/** What drives a strip: a source, the stage that it stands on, and what its light falls on. */
final readonly class Drive
{
    /** @param  float  $white  kelvin of the light that the scene shows as white */
    public function __construct(public SceneSource $source, public Stage $stage, public Footing $from, public float $white)
    {
    }

    /** Where its light comes from, as seen from what it falls on. */
    public function bearing(): Bearing
    {
        return $this->source->kind->bearingFrom($this->from, $this->stage->camera);
    }
}
