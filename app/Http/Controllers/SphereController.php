<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Takes;
use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Bearing\LitSphere;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The lit sphere that is laid over a plate: red, green, blue, alpha, row after row. */
final class SphereController
{
    /** A sphere lit from a direction, as red, green, blue, alpha. */
    #[Takes(['azimuth' => 'required|numeric|between:-360,360', 'elevation' => 'required|numeric|between:-90,90', 'size' => 'required|integer|between:8,256'])]
    public function __invoke(Request $request): Response
    {
        return new Response(LitSphere::pixels(new Bearing($request->float('azimuth'), $request->float('elevation')), $request->integer('size')), 200, ['Content-Type' => 'application/octet-stream', 'Cache-Control' => 'private, max-age=600']);
    }
}
