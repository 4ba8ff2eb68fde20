<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\MaskKind;
use Aumbrel\Core\Registry;

/** A new mask behind the ones that a strip has, lying well in what is looked at. */
final class AddMask extends Gesture
{
    use Placed;

    public function rules(): array
    {
        return [
            ...self::placing(), 'strip' => 'required|string|max:40', 'revision' => 'sometimes|integer|min:0',
            'on' => 'sometimes|string|max:10', 'join' => 'sometimes|string|max:20', 'inverted' => 'sometimes|boolean', 'values' => 'sometimes|array',
        ];
    }

    public function label(Asked $asked): string
    {
        return "Add {$asked->text('kind')} mask";
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $strip = $scene->strip($asked->strip());
        $class = Registry::kinds()->mask($asked->text('kind'), 'kind');
        $strip['masks'] = [...FlatScene::fields($strip['masks'] ?? []), [
            ...$asked->only(['on', 'join', 'inverted']),
            'id' => FlatScene::newId(), 'kind' => $class::key(), 'values' => [...self::besideHandles($class, $asked->point('centre'), $asked->number('span'), $strip), ...$asked->fields('values')],
        ]];

        return $scene->with(['strips' => [$asked->strip() => $strip]]);
    }

    /** Places that a mask is tried at, in spans, until its handles cover none of the strip's own. */
    private const ASIDE = [[0, 0], [0.22, 0], [-0.22, 0], [0, 0.22], [0, -0.22], [0.3, 0.3], [-0.3, -0.3]];

    /** Handles that are nearer than this, in spans, cover each other. */
    private const COVERED = 0.08;

    /**
     * The values of a new mask whose handles leave those of the strip free.
     *
     * @param  class-string<MaskKind>  $class
     * @param  array<string, mixed>  $strip
     * @return array<string, mixed>
     */
    private static function besideHandles(string $class, Point $centre, float $span, array $strip): array
    {
        $own = self::places(FlatScene::fields($strip['values'] ?? []));
        $best = [-1.0, []];
        foreach (self::ASIDE as [$x, $y]) {
            $values = $class::placed(new Point($centre->x + $x * $span, $centre->y + $y * $span), $span);
            $free = INF;
            foreach (self::places($values) as [$u, $v]) {
                foreach ($own as [$p, $q]) {
                    $free = min($free, hypot($u - $p, $v - $q));
                }
            }
            if ($free > self::COVERED * $span) {
                return $values;
            }
            $best = $free > $best[0] ? [$free, $values] : $best;
        }

        return $best[1];
    }

    /**
     * The places among values.
     *
     * @param  array<array-key, mixed>  $values
     * @return list<array{float, float}>
     */
    private static function places(array $values): array
    {
        $places = [];
        foreach ($values as $value) {
            if (is_array($value) && array_keys($value) === [0, 1] && is_numeric($value[0]) && is_numeric($value[1])) {
                $places[] = [(float) $value[0], (float) $value[1]];
            }
        }

        return $places;
    }
}
