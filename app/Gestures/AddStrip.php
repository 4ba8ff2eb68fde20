<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\Aim;
use App\Scenes\FlatScene;
use App\Scenes\LastOfKind;
use App\Scenes\SceneStore;
use App\Scenes\Subject;
use Aumbrel\Core\Kind\Begun;
use Aumbrel\Core\Kind\Drawn;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\ForPlate;
use Aumbrel\Core\Kind\LiesUnder;
use Aumbrel\Core\Kind\OnWall;
use Aumbrel\Core\Kind\Painted;
use Aumbrel\Core\Kind\Pullable;
use Aumbrel\Core\Kind\Shines;
use Aumbrel\Core\Kind\Spares;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Stage\SceneSource;

/**
 * A new strip of a kind: on the plate that it is meant for, else lying well in what is looked at, or along a line that was drawn
 * from where it stands to where it aims; above another one, or on top; a shadow under the plate that throws it. While there is one
 * source it hangs on that. On request it looks like the last one of its kind, in whichever scene that was.
 */
final class AddStrip extends Gesture
{
    use Placed;

    public function __construct(private readonly SceneStore $store)
    {
    }

    public function rules(): array
    {
        return [...self::placing(), 'above' => 'sometimes|nullable|string|max:40', 'line' => 'sometimes|array|list|size:2', 'line.*' => 'array|list|size:2', 'line.*.*' => 'numeric|between:-1000000,1000000', 'likeLast' => 'sometimes|boolean'];
    }

    public function label(Asked $asked): string
    {
        return "Add {$asked->text('kind')}";
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $class = Registry::kinds()->strip($asked->text('kind'), 'kind');
        $above = $asked->optionalText('above');
        $plate = self::meantFor($scene, $above);
        if (is_subclass_of($class, LiesUnder::class)) {
            $plate = Subject::of($scene, $plate, $asked->has('line') ? $asked->point('line.0') : $asked->point('centre'), fn (): Pictures => $this->store->known($asked->scene));
        }
        $aim = Aim::at($scene, $plate, fn (): Pictures => $this->store->known($asked->scene));
        $span = $asked->number('span');
        $centre = $aim === null ? $asked->point('centre') : $aim->middle;
        $line = match (true) {
            $asked->has('line') => [$asked->point('line.0'), $asked->point('line.1')],
            $aim !== null => [$aim->origin(...$scene->size()), $aim->middle],
            default => null,
        };

        $strip = [
            'id' => FlatScene::newId(), 'kind' => $class::key(), 'name' => $scene->freeName($class::label()),
            ...($class::family()->fadesInStops() ? ['level' => $class::placedLevel()] : ['amount' => $class::placedAmount()]),
            ...(is_subclass_of($class, Painted::class) ? ['masks' => [['id' => FlatScene::newId(), 'kind' => 'strokes', 'on' => 'scene', 'values' => ['start' => 'hidden', 'strokes' => []]]]] : []),
            ...(is_subclass_of($class, Begun::class) ? ['masks' => array_map(static fn (array $mask): array => ['id' => FlatScene::newId(), ...$mask], $class::begun($centre, $span))] : []),
            ...(is_subclass_of($class, Spares::class) ? ['tones' => $class::spared()] : []),
            ...self::source($scene, $class),
            ...($plate !== null && is_subclass_of($class, ForPlate::class) ? ['confinedTo' => $plate] : []),
            'values' => $line !== null && is_subclass_of($class, Drawn::class)
                ? $class::drawn($line[0], $line[1], $span, self::stage($scene))
                : [...$class::placed($centre, $span, $plate ?? self::liesOver($scene, $above, is_subclass_of($class, Shines::class))), ...self::onWall($scene, $class)],
        ];
        if ($asked->flag('likeLast')) {
            $last = LastOfKind::of($class, $scene->size());
            $strip = array_replace($strip, array_diff_key($last, ['values' => true]), ['values' => array_replace($strip['values'], $last['values'] ?? [])]);
        }
        if ($plate === null || ! is_subclass_of($class, LiesUnder::class)) {
            return $scene->inserted($strip, $above);
        }
        $under = $scene->insertedUnder($strip, $plate);

        // a shadow that was drawn falls where it was drawn to; one that hangs on a source falls where that throws it
        return ! $asked->has('line') || isset($strip['source']) ? $under
            : ChangeStrip::changed($under, $strip['id'], ['pull' => ['handle' => Pullable::TIP, 'to' => $asked->point('line.1')->toArray()]], fn (): Pictures => $this->store->known($asked->scene));
    }

    /**
     * @param  class-string<StripKind>  $class
     * @return array<string, mixed> what lies on the wall that was marked last
     */
    private static function onWall(FlatScene $scene, string $class): array
    {
        if (! is_subclass_of($class, OnWall::class)) {
            return [];
        }
        $stage = self::stage($scene);
        $wall = $stage->walls[count($stage->walls) - 1] ?? null;
        $corners = $wall?->corners($stage->camera) ?? [];

        return $wall === null || $corners === [] ? [] : $class::placedOn($wall->id, $corners);
    }

    /**
     * @param  class-string<StripKind>  $class
     * @return array{source?: string} the only source that there is, when the kind can hang on it
     */
    private static function source(FlatScene $scene, string $class): array
    {
        $sources = $scene->sources();

        return count($sources) === 1 && is_subclass_of($class, Driven::class) && in_array(SceneSource::kindOf($sources[0]['kind'] ?? null, 'kind'), $class::hangsOn(), true)
            ? ['source' => (string) $sources[0]['id']] : [];
    }
}
