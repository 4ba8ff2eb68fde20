<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Takes;
use App\Scenes\RampShelf;
use Aumbrel\Core\Ramp\ColourRamp;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The shelf of ramps. */
final readonly class RampController
{
    public function __construct(private RampShelf $shelf)
    {
    }

    /** The ramps that are kept. */
    public function index(): JsonResponse
    {
        return new JsonResponse(['ramps' => $this->shelf->all()]);
    }

    /** Keeps a ramp of colours, or that of a mask: white where that lets through. */
    #[Takes(['name' => 'required|string|max:'.RampShelf::LONGEST_NAME, 'stops' => 'required|array|list', 'stops.*' => 'array'])]
    public function store(Request $request): JsonResponse
    {
        /** @var list<array<string, mixed>> $stops */
        $stops = array_values($request->array('stops'));
        $white = static fn (array $stop): array => isset($stop['value']) ? ['colour' => '#ffffff', 'opacity' => $stop['value']] + $stop : $stop;
        $this->shelf->keep((string) $request->string('name'), ColourRamp::read(array_map($white, $stops), 'stops'));

        return $this->index();
    }

    /** Takes a ramp out of the shelf. */
    public function destroy(string $ramp): JsonResponse
    {
        $this->shelf->takeOut($ramp);

        return $this->index();
    }
}
