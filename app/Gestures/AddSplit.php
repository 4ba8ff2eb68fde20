<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\SceneStore;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\Splits;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;

/**
 * Two lights that share one line: where the one ends the other begins. Over the chosen plate, or over what is looked at; the
 * line runs upright through its middle, softly.
 */
final class AddSplit extends Gesture
{
    use Placed;

    /** How far the one goes over into the other, of the width of what they lie on. */
    private const SOFT = 0.3;

    public function __construct(private readonly SceneStore $store)
    {
    }

    public function rules(): array
    {
        return [...self::placing(), 'above' => 'sometimes|nullable|string|max:40'];
    }

    public function label(Asked $asked): string
    {
        return 'Add a split pair';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $kind = Registry::kinds()->strip($asked->text('kind'), 'kind');
        if (! is_subclass_of($kind, Splits::class)) {
            throw new SceneError('kind', "a {$kind::key()} is not split");
        }
        $above = $asked->optionalText('above');
        $plate = self::meantFor($scene, $above);
        [$x, $y, $width] = $this->middle($scene, $asked, $plate);
        $soft = $width * self::SOFT / 2;
        $line = ['id' => FlatScene::newId(), 'kind' => 'linear', 'values' => ['from' => [round($x - $soft, 1), round($y, 1)], 'to' => [round($x + $soft, 1), round($y, 1)], 'smooth' => true]];
        [$first, $second] = $kind::pair();
        $ids = [FlatScene::newId(), FlatScene::newId()];
        foreach ([[$first, ['masks' => [$line]]], [$second, ['complements' => $ids[0], 'masks' => []]]] as $at => [$fields, $falloff]) {
            $scene = $scene->inserted([
                'id' => $ids[$at], 'kind' => $kind::key(), 'name' => $scene->freeName($at === 0 ? 'Gel, one side' : 'Gel, other side'), ...$fields, ...$falloff, ...($plate === null ? [] : ['confinedTo' => $plate]),
            ], $at === 0 ? $above : $ids[0]);
        }

        return $scene;
    }

    /** @return array{float, float, float} of what they lie on: the middle and the width, scene pixels */
    private function middle(FlatScene $scene, Asked $asked, ?string $plate): array
    {
        $strip = $plate === null ? null : Document::read($scene->toDocument(), Registry::kinds())->find($plate);
        $known = $this->store->known($asked->scene);
        $box = $strip === null ? null : $known->box($strip);
        if ($strip === null || $box === null || ! $strip->kind instanceof Pictured) {
            $centre = $asked->point('centre');

            return [$centre->x, $centre->y, $asked->number('span')];
        }
        $placement = $strip->kind->placement(...$known->size($strip->kind->picture()) ?? [1, 1]);
        $middle = $placement->toScene($box->middle());

        return [$middle->x, $middle->y, max(4.0, ($box->right - $box->left) * $placement->scale)];
    }
}
