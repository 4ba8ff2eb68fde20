<?php

declare(strict_types=1);

namespace App\Render;

use App\Faults\NotPossible;
use App\Models\Scene;
use App\Render\Pool\Dropped;
use App\Render\Pool\Priority;
use App\Render\Pool\Ticket;
use App\Scenes\FlatScene;
use Aumbrel\Core\Body\OwnLight;
use Illuminate\Support\Str;

/** What is read off a plate as a whole, by a render process. */
final readonly class PlateStudies
{
    public function __construct(private RenderRequests $requests, private RenderService $renders)
    {
    }

    /** @param  list<float>  $numbers  that the study is asked with */
    public function of(Scene $scene, string $strip, Study $study, array $numbers = []): mixed
    {
        return $this->asked($scene, $study->value, $strip, $numbers);
    }

    /** The grain of a plate, and of what lies around it, in the finished picture. */
    public function grain(Scene $scene, string $strip): mixed
    {
        return $this->asked($scene, RenderRequest::GRAIN, $strip);
    }

    /**
     * The light that a plate brings along.
     *
     * @throws NotPossible when that cannot be told
     */
    public function ownLight(Scene $scene, string $strip): OwnLight
    {
        [$found] = $this->lightAndNormals($scene, $strip);

        return $found instanceof OwnLight ? $found : throw new NotPossible('strip', $found);
    }

    /** @return array{OwnLight|string, bool|null} the light that a plate brings along, or why that cannot be told; and whether green grows upward in its picture of normals, as it seems */
    public function lightAndNormals(Scene $scene, string $strip): array
    {
        $found = FlatScene::fields($this->asked($scene, RenderRequest::OWN_LIGHT, $strip));
        $upward = is_bool($found['upward'] ?? null) ? $found['upward'] : null;
        if (! is_array($found['numbers'] ?? null)) {
            return [is_string($found['why'] ?? null) ? $found['why'] : 'Nothing was found.', $upward];
        }

        return [OwnLight::ofNumbers(array_map(static fn (mixed $number): float => is_numeric($number) ? (float) $number : 0.0, array_values($found['numbers']))), $upward];
    }

    /** @param  list<float>  $numbers */
    private function asked(Scene $scene, string $kind, string $strip, array $numbers = []): mixed
    {
        $read = $this->renders->render(
            $this->requests->of($scene, $kind, [0.0, 0.0, 1.0, 1.0], 1.0, [$strip, ...array_map(strval(...), $numbers)]),
            // what is asked with other numbers is another study
            new Ticket(Priority::Settled, "{$kind} {$scene->id} {$strip}".($numbers === [] ? '' : ' '.Str::uuid()), $scene->revision),
        );
        if ($read instanceof Dropped) {
            throw new NotPossible('strip', 'Something newer came in between. Try it again.');
        }

        return json_decode($read->bytes, true, 8, JSON_THROW_ON_ERROR);
    }
}
