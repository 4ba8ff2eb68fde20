<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\SceneStore;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Pairs;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;

/** Two strips of a kind that belong together, over the chosen plate, or over what is looked at. */
final class AddPair extends Gesture
{
    use Placed;

    public function __construct(private readonly SceneStore $store)
    {
    }

    public function rules(): array
    {
        return [...self::placing(), 'above' => 'sometimes|nullable|string|max:40'];
    }

    public function label(Asked $asked): string
    {
        return "Add {$this->kind($asked)::pairLabel()}";
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $kind = $this->kind($asked);
        $above = $asked->optionalText('above');
        $plate = self::meantFor($scene, $above);
        [$x, $y, $width] = $this->middle($scene, $asked, $plate);
        $below = $above;
        $lower = null;
        foreach ($kind::pair(new Point($x, $y), $width, self::stage($scene)) as $fields) {
            $id = FlatScene::newId();
            $scene = $scene->inserted([
                ...$fields, 'id' => $id, 'kind' => $kind::key(), 'name' => $scene->freeName($fields['name']),
                'masks' => array_map(static fn (array $mask): array => ['id' => FlatScene::newId(), ...$mask], $fields['masks'] ?? []),
                ...(($fields['complements'] ?? false) ? ['complements' => $lower] : []), ...($plate === null ? [] : ['confinedTo' => $plate]),
            ], $below);
            $lower ??= $id;
            $below = $id;
        }

        return $scene;
    }

    /**
     * @return class-string<Pairs>
     *
     * @throws SceneError for a kind that does not come in pairs
     */
    private function kind(Asked $asked): string
    {
        $kind = Registry::kinds()->strip($asked->text('kind'), 'kind');

        return is_subclass_of($kind, Pairs::class) ? $kind : throw new SceneError('kind', "a {$kind::key()} does not come in pairs");
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
