<?php

declare(strict_types=1);

/*
 * Draws the demo's artwork, flat as drawings are: php demo/drawn.php
 *
 * Writes demo/night-market/kite.png, a paper fish on a pole as one hangs over a stall, and poster.png, a printed poster of the
 * ferry line with a lighthouse. A second or two.
 */

function pen(string $fill, string $line = '#3a2a24', float $width = 0): ImagickDraw
{
    $pen = new ImagickDraw;
    $pen->setFillColor($fill);
    if ($width > 0) {
        $pen->setStrokeColor($line);
        $pen->setStrokeWidth($width);
    }
    $pen->setStrokeAntialias(true);

    return $pen;
}

/** @param  list<array{float, float, float, float, float, float}>  $curves  two handles and an end each */
function shape(ImagickDraw $pen, float $x, float $y, array $curves): void
{
    $pen->pathStart();
    $pen->pathMoveToAbsolute($x, $y);
    foreach ($curves as $curve) {
        $pen->pathCurveToAbsolute(...$curve);
    }
    $pen->pathClose();
    $pen->pathFinish();
}

/** An open line along a part of an ellipse, degrees clockwise from the right. */
function arc(ImagickDraw $pen, float $x, float $y, float $across, float $down, float $from, float $to): void
{
    // piece by piece: the library closes lines that turn
    $pen->setStrokeLineCap(Imagick::LINECAP_ROUND);
    $at = static fn (float $degrees): array => [$x + $across * cos(deg2rad($degrees)), $y + $down * sin(deg2rad($degrees))];
    for ($degrees = $from; $degrees < $to; $degrees += 4) {
        $pen->line(...$at($degrees), ...$at(min($to, $degrees + 4)));
    }
}

/** @param  list<array{float, float}>  $corners */
function area(ImagickDraw $pen, array $corners): void
{
    $pen->polygon(array_map(static fn (array $corner): array => ['x' => $corner[0], 'y' => $corner[1]], $corners));
}

function kite(): Imagick
{
    $picture = new Imagick;
    $picture->newImage(1100, 640, new ImagickPixel('transparent'));

    // fins and tail lie behind the body
    $fins = pen('#b5452f', width: 5);
    shape($fins, 760, 300, [[860, 230, 960, 120, 1050, 110], [1020, 210, 980, 270, 960, 318], [990, 380, 1040, 450, 1060, 530], [950, 520, 850, 420, 760, 350]]);
    shape($fins, 430, 180, [[500, 70, 640, 60, 700, 110], [660, 150, 620, 190, 600, 220]]);
    shape($fins, 470, 470, [[520, 560, 620, 590, 670, 570], [640, 530, 610, 490, 600, 450]]);
    $picture->drawImage($fins);

    $body = pen('#d98a4e', width: 6);
    shape($body, 60, 325, [[120, 160, 330, 120, 520, 170], [660, 205, 740, 270, 800, 325], [740, 385, 650, 445, 520, 478], [330, 525, 120, 490, 60, 325]]);
    $picture->drawImage($body);

    $belly = pen('#ecd3a6');
    shape($belly, 92, 368, [[170, 468, 340, 500, 510, 463], [620, 440, 700, 395, 752, 352], [650, 400, 520, 420, 400, 415], [270, 412, 160, 400, 92, 368]]);
    $picture->drawImage($belly);

    // scales: rows of arcs, each row shifted by half
    $scales = pen('none', '#8f4a2c', 4);
    for ($row = 0; $row < 5; $row++) {
        for ($column = 0; $column < 9; $column++) {
            [$x, $y] = [330 + 48 * $column + 24 * ($row % 2), 218 + 44 * $row];
            if ((($x - 495) / 215) ** 2 + (($y - 296) / 110) ** 2 < 1) {
                arc($scales, $x - 26, $y, 26, 24, -90, 90);
            }
        }
    }
    $picture->drawImage($scales);

    $gill = pen('none', '#6d3524', 6);
    arc($gill, 225, 325, 62, 118, -68, 68);
    $picture->drawImage($gill);
    $eye = pen('#f3e6c8', width: 5);
    $eye->ellipse(160, 278, 32, 32, 0, 360);
    $picture->drawImage($eye);
    $pupil = pen('#2a2320');
    $pupil->ellipse(153, 281, 15, 15, 0, 360);
    $picture->drawImage($pupil);
    $mouth = pen('none', '#6d3524', 6);
    arc($mouth, 66, 352, 50, 34, -40, 34);
    $picture->drawImage($mouth);

    return $picture;
}

/** Three inks on paper: a burst of rays, a tower with its lamp room, the sea. */
function poster(): Imagick
{
    $picture = new Imagick;
    $picture->newImage(900, 1125, new ImagickPixel('#24424a'));
    // rays and rings of dots, as a screen prints them
    $rays = pen('#2d5159');
    for ($k = 0; $k < 16; $k++) {
        [$a, $b] = [M_PI * (2 * $k) / 16, M_PI * (2 * $k + 1) / 16];
        area($rays, [[450, 330], [450 + 1300 * cos($a), 330 + 1300 * sin($a)], [450 + 1300 * cos($b), 330 + 1300 * sin($b)]]);
    }
    $picture->drawImage($rays);
    $dots = pen('#6f8f86');
    for ($ring = 0; $ring < 9; $ring++) {
        $far = 190 + 44 * $ring;
        $count = 26 + 6 * $ring;
        for ($k = 0; $k < $count; $k++) {
            $turn = 2 * M_PI * ($k + 0.5 * ($ring % 2)) / $count;
            [$x, $y] = [450 + $far * cos($turn), 330 + $far * sin($turn)];
            $dots->circle($x, $y, $x + 4.6 - 0.35 * $ring, $y);
        }
    }
    $picture->drawImage($dots);
    $frame = pen('none', '#d8c7a0', 10);
    $frame->rectangle(28, 28, 872, 1097);
    $picture->drawImage($frame);

    $tower = pen('#d8c7a0', '#1b2a2e', 5);
    area($tower, [[378, 440], [522, 440], [560, 960], [340, 960]]);
    $picture->drawImage($tower);
    $bands = pen('#9a4534');
    foreach ([[520, 610], [700, 790], [880, 960]] as [$top, $foot]) {
        $half = static fn (float $y): float => 70 + 38 * ($y - 440) / 520;
        area($bands, [[450 - $half($top), $top], [450 + $half($top), $top], [450 + $half($foot), $foot], [450 - $half($foot), $foot]]);
    }
    $picture->drawImage($bands);
    $gallery = pen('#1b2a2e');
    $gallery->roundRectangle(345, 424, 555, 446, 6, 6);
    $gallery->rectangle(392, 268, 508, 428);
    area($gallery, [[378, 268], [522, 268], [450, 186]]);
    $gallery->circle(450, 178, 450, 166);
    for ($x = 352; $x <= 548; $x += 28) {
        $gallery->rectangle($x - 2, 384, $x + 2, 426);
    }
    $gallery->rectangle(348, 382, 552, 387);
    $picture->drawImage($gallery);
    // the panes, not lit, and the filament in the middle one
    $panes = pen('#e07b00');
    foreach ([400, 434, 473] as $k => $x) {
        $panes->rectangle($x, 278, $x + [27, 32, 27][$k], 374);
    }
    $picture->drawImage($panes);
    $filament = pen('none', '#2b2733', 3);
    $filament->line(450, 372, 450, 346);
    arc($filament, 450, 330, 8, 16, 90, 450);
    $picture->drawImage($filament);

    $sea = pen('#16282d');
    $sea->rectangle(33, 958, 867, 1092);
    $picture->drawImage($sea);
    $waves = pen('none', '#6f8f86', 4);
    for ($row = 0; $row < 4; $row++) {
        for ($x = 60 + 34 * ($row % 2); $x < 850; $x += 68) {
            if ($x + 28 < 860) {
                arc($waves, $x, 982 + 30 * $row, 26, 12, 190, 350);
            }
        }
    }
    $picture->drawImage($waves);
    $rock = pen('#1b2a2e');
    shape($rock, 270, 975, [[300, 930, 350, 945, 380, 940], [430, 930, 500, 930, 545, 942], [600, 935, 625, 955, 650, 978], [560, 985, 340, 985, 270, 975]]);
    $picture->drawImage($rock);

    return $picture;
}

foreach (['kite' => kite(), 'poster' => poster()] as $name => $picture) {
    $as = $name === 'kite' ? 'png32' : 'png24';
    $picture->setImageFormat($as);
    $picture->setImageDepth(8);
    $picture->setOption('png:exclude-chunk', 'date,tIME');
    $file = __DIR__."/night-market/{$name}.png";
    $picture->writeImage("{$as}:{$file}");
    printf("%s: %d kB\n", basename($file), filesize($file) / 1000);
}
