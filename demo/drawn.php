<?php

declare(strict_types=1);

/*
 * Draws the demo's artwork, flat as drawings are: php demo/drawn.php
 *
 * Writes demo/night-market/kite.png, a paper fish on a pole as one hangs over a stall. A second or two.
 */

const WIDTH = 1100;

const HEIGHT = 640;

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

$picture = new Imagick;
$picture->newImage(WIDTH, HEIGHT, new ImagickPixel('transparent'));
$picture->setImageFormat('png32');

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

$picture->setImageDepth(8);
$picture->setOption('png:exclude-chunk', 'date,tIME');
$file = __DIR__.'/night-market/kite.png';
$picture->writeImage("png32:{$file}");
printf("%s: %d kB\n", basename($file), filesize($file) / 1000);
