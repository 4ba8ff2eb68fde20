<?php

declare(strict_types=1);

namespace App\Render;

use App\Scenes\FlatScene;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Value\Values;

/** How a scene is looked at without being changed: before anything was lit, or with only some of the strips. */
final readonly class Look
{
    /** What a cut-out takes away lies in the dark behind light hatching: one of the two stands out from every subject. */
    private const VEIL = '#101010';

    private const VEIL_AMOUNT = 62;

    private const HATCHING = '#e4e4e4';

    /** Lines of the hatching, and how close they are at most, px. */
    private const HATCHES = 96;

    private const CLOSEST = 6;

    /** A form: its grey away from the light, and how much lighter it is toward it, stops. */
    private const IN_SHADE = '#4a4a4a';

    private const LIT = 3.0;

    /**
     * @param  bool  $before  the plates as they are, nothing else
     * @param  string|null  $tint  a plate whose cut-out is judged: what it takes away lies under a tint
     * @param  string|null  $form  a plate whose form is seen, as grey under its light
     * @param  list<string>  $solo  of the strips that are not plates only these; a plate among them is shown alone
     */
    public function __construct(private bool $before, private array $solo, private ?string $tint = null, private ?string $form = null)
    {
    }

    /** @throws SceneError when it is no plate whose cut-out or form is judged */
    public function at(FlatScene $scene): FlatScene
    {
        if ($this->tint !== null) {
            return $this->tinted($scene, $this->tint);
        }
        if ($this->form !== null) {
            return self::formed($scene, $this->form);
        }
        if (! $this->before && $this->solo === []) {
            return $scene;
        }
        $isPlate = static fn (array $strip): bool => Registry::kinds()->strip($strip['kind'], 'kind')::family() === Family::Plate;
        $solo = $this->withHolders($scene);
        $plates = array_filter($solo, static fn (string $id): bool => isset($scene->strips[$id]) && $isPlate($scene->strips[$id]));
        $strips = [];
        foreach ($scene->strips as $id => $strip) {
            // ids of digits are integer keys
            $id = (string) $id;
            $hidden = match (true) {
                $this->before => ! $isPlate($strip) && $strip['kind'] !== 'group',
                $isPlate($strip) => $plates !== [] && ! in_array($id, $solo, true),
                default => ! in_array($id, $solo, true),
            };
            $strips[$id] = $hidden ? [...$strip, 'muted' => true] : $strip;
        }

        return $scene->with(['strips' => $strips]);
    }

    /** The whole plate, a veil and hatching over it, and over that the plate as it is cut out. */
    private function tinted(FlatScene $scene, string $id): FlatScene
    {
        $plate = $scene->strips[$id] ?? null;
        if ($plate === null || $plate['kind'] !== 'plate') {
            throw new SceneError('tint', 'only a plate has a cut-out');
        }
        $values = is_array($plate['values'] ?? null) ? $plate['values'] : [];
        $whole = [...$plate, 'id' => 'whole', 'masks' => [], 'amount' => 100, 'muted' => false, 'values' => [...$values, 'grow' => 0, 'soften' => 0, 'hairBand' => 0, 'unstain' => 0, 'fillInside' => false]];
        unset($whole['confinedTo']);

        [$width, $height] = $scene->size();
        // a square on its corner that holds the whole scene
        [$x, $y, $half] = [$width / 2, $height / 2, ($width + $height) / 2];

        return new FlatScene($scene->scene, [['whole', null], ['tint', null], ['hatching', null], ['cut', null]], [
            'whole' => $whole,
            'tint' => ['id' => 'tint', 'kind' => 'fill', 'mode' => 'normal', 'amount' => self::VEIL_AMOUNT, 'confinedTo' => 'whole', 'values' => ['colour' => self::VEIL]],
            'hatching' => ['id' => 'hatching', 'kind' => 'pattern', 'mode' => 'normal', 'level' => 0, 'confinedTo' => 'whole', 'values' => [
                'through' => 'blinds', 'slats' => (int) max(1, min(self::HATCHES, $half * M_SQRT2 / self::CLOSEST)), 'tilt' => 40, 'corners' => [[$x, $y - $half], [$x + $half, $y], [$x, $y + $half], [$x - $half, $y]], 'tight' => 0, 'wide' => 0, 'colour' => ['swatch' => self::HATCHING],
            ]],
            'cut' => [...$whole, 'id' => 'cut', 'values' => $values, 'masks' => self::cutOut($plate)],
        ]);
    }

    /** A plate in one grey under its own light, or one from the upper left as long as that is not known, and nothing else. */
    private static function formed(FlatScene $scene, string $id): FlatScene
    {
        $plate = $scene->strips[$id] ?? null;
        if ($plate === null || $plate['kind'] !== 'plate') {
            throw new SceneError('form', 'only a plate has a form');
        }
        $values = FlatScene::fields($plate['values'] ?? []);
        $own = FlatScene::fields($values['bearing'] ?? []);
        $strip = Registry::kinds()->strip('plate', 'kind');
        $bearing = $own === [] ? null : $strip::from(Values::read($strip::parameters(), $values, 'values'));
        $light = $bearing instanceof Pictured ? $bearing->bearing() : null;

        return new FlatScene($scene->scene, [['behind', null], [$id, null], ['grey', null], ['key', null]], [
            'behind' => ['id' => 'behind', 'kind' => 'fill', 'mode' => 'normal', 'amount' => 100, 'values' => ['colour' => self::VEIL]],
            $id => ['amount' => 100, 'muted' => false, 'masks' => self::cutOut($plate)] + array_diff_key($plate, ['confinedTo' => true]),
            'grey' => ['id' => 'grey', 'kind' => 'fill', 'mode' => 'normal', 'amount' => 100, 'confinedTo' => $id, 'values' => ['colour' => self::IN_SHADE]],
            'key' => ['id' => 'key', 'kind' => 'key light', 'mode' => 'illuminate', 'level' => self::LIT, 'values' => ['of' => $id, 'wrap' => 0, 'gloss' => 0, 'colour' => ['swatch' => '#ffffff'], 'azimuth' => $light->azimuth ?? 135.0, 'elevation' => $light->elevation ?? 35.0]],
        ]);
    }

    /**
     * The masks that lie on a plate itself.
     *
     * @param  array<string, mixed>  $plate
     * @return list<mixed>
     */
    private static function cutOut(array $plate): array
    {
        return array_values(array_filter(is_array($plate['masks'] ?? null) ? $plate['masks'] : [], static fn (mixed $mask): bool => is_array($mask) && ($mask['on'] ?? '') === 'plate'));
    }

    /** @return list<string> the chosen strips, the groups that hold them and what chosen groups hold */
    private function withHolders(FlatScene $scene): array
    {
        $groups = array_column($scene->order, 1, 0);
        $all = $this->solo;
        foreach ($this->solo as $id) {
            while (($id = $groups[$id] ?? null) !== null) {
                $all[] = $id;
            }
        }
        foreach ($groups as $id => $group) {
            if ($group !== null && in_array($group, $this->solo, true)) {
                $all[] = (string) $id;
            }
        }

        return $all;
    }
}
