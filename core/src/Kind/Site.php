<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Body\BodyPlane;
use Aumbrel\Core\CutOut\PlateOutline;
use Aumbrel\Core\Geometry\Path;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Seen\SeenPlate;

/** Where a strip is rendered: the window, and the plates as it sees them. */
interface Site extends Surroundings
{
    public function window(): Window;

    /** The strip's own plate, or another one, as the window sees it, or another window; null when there is none of that id. */
    public function seen(string $id, ?Window $window = null): ?SeenPlate;

    /** A picture of the scene; null when there is none of that name. */
    public function picture(string $name): ?PictureSource;

    /** Which way a plate's surface faces, as the window sees it; null when there is no plate of that id. */
    public function body(string $plate): ?BodyPlane;

    /** A picture that belongs to a plate and shows the same, as the window sees it, or another window; null when one of them is not there. */
    public function pass(string $plate, string $name, ?Window $window = null): ?SeenPlate;

    /**
     * What the masks on its emitter make together; null when it has none.
     *
     * @param  string|null  $plate  on which its colour areas lie
     */
    public function emitter(?string $plate): ?Emitter;

    /** @return list<Path> the lines among the masks on its emitter */
    public function traces(): array;

    /** Where a plate's outline lies; worked out once for the plate. Null when there is no plate of that id, or it has none. */
    public function outline(string $id): ?PlateOutline;

    /**
     * What falls of another strip that is a light, in linear light with the colours of its layers; nothing while it is muted. Null when it is no light, or gone.
     *
     * @return list<Layer>|null
     */
    public function lightOf(string $id): ?array;

    /** How much a plate covers at each place: its outline, its amount, its masks and what it is confined to. Null when there is no plate of that id, or it is muted. */
    public function covering(string $plate): ?Field;

    /** The picture that lies below the strip. */
    public function beneath(): Beneath;
}
