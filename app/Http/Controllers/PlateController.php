<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\NotPossible;
use App\Http\Requests\GoesBy;
use App\Models\Scene;
use App\Render\Pool\Dropped;
use App\Render\Pool\Priority;
use App\Render\Pool\Ticket;
use App\Render\RenderRequest;
use App\Render\RenderService;
use App\Render\Study;
use App\Scenes\FlatScene;
use App\Scenes\SceneState;
use App\Scenes\SceneStore;
use App\Scenes\StripEdits;
use App\Scenes\StrokeShelf;
use Aumbrel\Core\Bearing\Method;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Plate\Horizon;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What is done with a plate as a whole. */
final class PlateController
{
    public function __construct(private readonly SceneStore $store, private readonly SceneState $state, private readonly RenderService $renders)
    {
    }

    /** Reads where its light comes from off its outline; refused in a sentence when there is too little to go on. */
    public function bearing(Request $request, Scene $scene, string $strip): JsonResponse
    {
        /** @var array{azimuth: float|null, elevation: float|null, spread: float, confidence: float, why?: string} $found */
        $found = $this->study($scene, $strip, Study::Bearing);
        if ($found['azimuth'] === null) {
            throw new NotPossible('bearing', $found['why'] ?? 'Nothing was found.');
        }
        $bearing = ['by' => Method::Outline->value, ...array_intersect_key($found, array_flip(['azimuth', 'elevation', 'spread', 'confidence']))];
        $changed = $this->store->edit($scene->id, 'Estimate the bearing', static fn (FlatScene $flat): FlatScene => StripEdits::change($flat, $strip, ['values' => ['bearing' => $bearing]]), GoesBy::strip($request, $strip));

        return new JsonResponse($this->state->of($changed));
    }

    public function trio(Request $request, Scene $scene, string $strip): JsonResponse
    {
        $changed = $this->store->edit($scene->id, 'Trio of exposures', static fn (FlatScene $flat): FlatScene => StripEdits::trio($flat, $strip), GoesBy::strip($request, $strip));

        return new JsonResponse($this->state->of($changed), 201);
    }

    /** A fill with the mean colour of what the plate shows. */
    public function average(Request $request, Scene $scene, string $strip): JsonResponse
    {
        /** @var string $mean */
        $mean = $this->study($scene, $strip, Study::Mean) ?? throw new NotPossible('strip', 'This plate shows nothing: its cut-out leaves no pixel.');
        $changed = $this->store->edit($scene->id, 'Fill with the average', static fn (FlatScene $flat): FlatScene => StripEdits::fillWith($flat, $strip, $mean), GoesBy::strip($request, $strip));

        return new JsonResponse($this->state->of($changed), 201);
    }

    /** Lays the plate's horizon on that of the lowest plate. */
    public function align(Request $request, Scene $scene, string $strip): JsonResponse
    {
        $plates = array_values(array_filter($this->store->document($scene)->everyStrip(), static fn ($other): bool => $other->kind instanceof Pictured));
        $plate = array_values(array_filter($plates, static fn ($other): bool => $other->id === $strip))[0] ?? throw new NotPossible('strip', 'This strip is no plate.');
        try {
            $values = Horizon::aligned($plate, $plates[0], $this->store->sizes($scene));
        } catch (SceneError $error) {
            throw new NotPossible($error->field, ucfirst($error->reason).'.');
        }
        $changed = $this->store->edit($scene->id, 'Align to the horizon', static fn (FlatScene $flat): FlatScene => StripEdits::change($flat, $strip, ['values' => $values]), GoesBy::strip($request, $strip));

        return new JsonResponse($this->state->of($changed));
    }

    /** How many pieces shrinking the cut-out takes away. */
    public function pieces(Scene $scene, string $strip): JsonResponse
    {
        return new JsonResponse(['vanished' => $this->study($scene, $strip, Study::Vanished)]);
    }

    private function study(Scene $scene, string $strip, Study $study): mixed
    {
        $flat = $this->store->flat($scene);
        $read = $this->renders->render(
            new RenderRequest($study->value, $flat->toDocument(), $this->store->pictureIds($scene), [0.0, 0.0, 1.0, 1.0], 1.0, [$strip], kept: (new StrokeShelf($scene->id))->texts(...)),
            new Ticket(Priority::Settled, "{$study->value} {$scene->id} {$strip}", $scene->revision),
        );
        if ($read instanceof Dropped) {
            throw new NotPossible('strip', 'Something newer came in between. Try it again.');
        }

        return json_decode($read->bytes, true, 8, JSON_THROW_ON_ERROR);
    }
}
