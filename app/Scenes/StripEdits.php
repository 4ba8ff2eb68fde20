<?php

declare(strict_types=1);

namespace App\Scenes;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Reading\Compass;
use Aumbrel\Core\Reading\Mend;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Reading\Reading;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;
use Illuminate\Support\Str;

/**
 * The changes that a gesture can make to a scene, on flat scenes: what the store writes down and what a draft shows
 * before it is written are the same.
 */
final class StripEdits
{
    private const TRIO_STOPS = 2.0;

    private const REPLACED = ['name', 'mode', 'level', 'amount', 'muted'];

    /**
     * Some fields of one strip; values and masks are merged by their names; a mask's `strokes` (or one `stroke`)
     * come behind those that it has; `turn` lets it come from elsewhere.
     *
     * @param  array<string, mixed>  $change
     *
     * @throws SceneError when there is no such strip or mask
     */
    public static function change(FlatScene $scene, string $id, array $change, ?Pictures $pictures = null): FlatScene
    {
        $strip = self::strip($scene, $id);
        if (isset($change['turn'])) {
            $turned = self::turned($scene, $id, self::fields($change['turn'], 'turn'), $pictures ?? new Pictures([]));
            $change['values'] = [...self::fields($change['values'] ?? []), ...$turned];
        }
        $strip = array_replace($strip, array_intersect_key($change, array_flip(self::REPLACED)));
        if (array_key_exists('confinedTo', $change)) {
            unset($strip['confinedTo']);
            $strip += $change['confinedTo'] === null ? [] : ['confinedTo' => $change['confinedTo']];
        }
        $strip['values'] = array_replace(self::fields($strip['values'] ?? []), self::fields($change['values'] ?? []));
        foreach (self::fields($change['masks'] ?? [], 'masks') as $mask => $part) {
            $strip['masks'] = self::changeMask(self::fields($strip['masks'] ?? []), (string) $mask, self::fields($part, "masks.{$mask}"));
        }

        return $scene->with(['strips' => [$id => $strip]]);
    }

    /**
     * What makes a light come from elsewhere, or says so of a plate.
     *
     * @param  array<mixed>  $turn  azimuth and elevation, as the scene sees them
     * @return array<string, mixed>
     */
    private static function turned(FlatScene $scene, string $id, array $turn, Pictures $pictures): array
    {
        $angle = static fn (string $name, float $most): float => is_numeric($turn[$name] ?? null) && abs((float) $turn[$name]) <= $most
            ? (float) $turn[$name] : throw SceneError::expected("turn.{$name}", "a number from -{$most} to {$most} °", $turn[$name] ?? null);
        $bearing = new Bearing($angle('azimuth', 360), $angle('elevation', 90));
        $document = Document::read($scene->toDocument(), Registry::kinds());

        return (new Compass($document, $pictures))->turning($document, $id, $bearing);
    }

    /**
     * A new strip right above another one, or on top.
     *
     * @param  array<string, mixed>  $fields
     */
    public static function insert(FlatScene $scene, array $fields, ?string $above): FlatScene
    {
        $id = (string) $fields['id'];
        $order = [];
        $isIn = false;
        foreach ($scene->order as [$other, $group]) {
            $order[] = [$other, $group];
            if ($other === $above && $scene->strips[$other]['kind'] !== 'group') {
                $order[] = [$id, $group];
                $isIn = true;
            }
        }
        if (! $isIn) {
            $order[] = [$id, null];
        }

        return $scene->with(['order' => $order, 'strips' => [$id => $fields]]);
    }

    /** A new strip of a kind, lying well in what is looked at. */
    public static function fresh(FlatScene $scene, string $kind, Point $centre, float $span, ?string $above): FlatScene
    {
        $class = Registry::kinds()->strip($kind, 'kind');
        $plate = $above !== null && ($scene->strips[$above]['kind'] ?? null) === 'plate' ? $above : $scene->strips[$above ?? '']['confinedTo'] ?? null;

        return self::insert($scene, [
            'id' => self::newId(), 'kind' => $kind, 'name' => self::freeName($scene, $class::label()), 'values' => $class::placed($centre, $span, is_string($plate) ? $plate : null),
        ], $above);
    }

    public static function duplicate(FlatScene $scene, string $id): FlatScene
    {
        $strip = self::strip($scene, $id);
        if ($strip['kind'] === 'group') {
            throw new SceneError('strip', 'a group cannot be duplicated; duplicate the strips in it');
        }

        return self::insert($scene, array_replace($strip, ['id' => self::newId(), 'name' => self::freeName($scene, (string) $strip['name']), 'masks' => self::copied($strip['masks'] ?? [])]), $id);
    }

    /** Takes a strip out, with what a group holds; what was confined to it is confined no longer. */
    public static function remove(FlatScene $scene, string $id): FlatScene
    {
        $gone = [$id => null];
        foreach ($scene->order as [$other, $group]) {
            if ($group !== null && array_key_exists($group, $gone)) {
                $gone[$other] = null;
            }
        }
        $freed = [];
        foreach ($scene->strips as $other => $strip) {
            if (isset($strip['confinedTo']) && array_key_exists((string) $strip['confinedTo'], $gone) && ! array_key_exists($other, $gone)) {
                unset($strip['confinedTo']);
                $freed[$other] = $strip;
            }
        }
        $order = array_values(array_filter($scene->order, static fn (array $place): bool => ! array_key_exists($place[0], $gone)));

        return $scene->with(['order' => $order, 'strips' => $gone + $freed]);
    }

    /**
     * @param  list<string>  $ids  all strips back to front
     *
     * @throws SceneError when they are not the scene's strips
     */
    public static function reorder(FlatScene $scene, array $ids): FlatScene
    {
        $groups = array_column($scene->order, 1, 0);
        $now = array_keys($groups);
        if (count($ids) !== count($now) || array_diff($now, $ids) !== []) {
            throw new SceneError('order', 'the order names other strips than the scene has; load it again');
        }

        return $scene->with(['order' => array_map(static fn (string $id): array => [$id, $groups[$id]], $ids)]);
    }

    /**
     * A new mask behind the ones that are there.
     *
     * @param  array<mixed>  $fields  what of it is not as with any new one
     */
    public static function addMask(FlatScene $scene, string $id, string $kind, Point $centre, float $span, array $fields = []): FlatScene
    {
        $strip = self::strip($scene, $id);
        $class = Registry::kinds()->mask($kind, 'kind');
        $strip['masks'] = [...self::fields($strip['masks'] ?? []), [
            ...array_intersect_key($fields, array_flip(['on', 'join', 'inverted'])),
            'id' => self::newId(), 'kind' => $kind, 'values' => [...$class::placed($centre, $span), ...self::fields($fields['values'] ?? [])],
        ]];

        return $scene->with(['strips' => [$id => $strip]]);
    }

    /**
     * The trio: the plate two stops under, and over it the same as shot and two stops over, both hidden, to be revealed by
     * painting.
     *
     * @throws SceneError when it is no plate
     */
    public static function trio(FlatScene $scene, string $id): FlatScene
    {
        $plate = self::plate($scene, $id);
        $name = mb_substr((string) $plate['name'], 0, 68);
        $values = self::fields($plate['values'] ?? []);
        $exposure = is_numeric($values['exposure'] ?? null) ? (float) $values['exposure'] : 0.0;
        $of = static fn (float $stops): array => [...$values, 'exposure' => max(-6.0, min(6.0, $exposure + $stops))];
        $scene = $scene->with(['strips' => [$id => array_replace($plate, ['name' => self::freeName($scene, "{$name}, under"), 'values' => $of(-self::TRIO_STOPS)])]]);
        $below = $id;
        foreach ([[', as shot', 0.0], [', over', self::TRIO_STOPS]] as [$word, $stops]) {
            $next = self::newId();
            $hidden = ['id' => self::newId(), 'kind' => 'strokes', 'on' => 'scene', 'values' => ['start' => 'hidden', 'strokes' => []]];
            $scene = self::insert($scene, array_replace($plate, ['id' => $next, 'name' => self::freeName($scene, $name.$word), 'values' => $of($stops), 'masks' => [...self::copied($plate['masks'] ?? []), $hidden]]), $below);
            $below = $next;
        }

        return $scene;
    }

    /**
     * Masks for another strip.
     *
     * @return list<array<mixed>>
     */
    private static function copied(mixed $masks): array
    {
        return array_map(static fn (mixed $mask): array => array_replace(self::fields($mask), ['id' => self::newId()]), array_values(self::fields($masks)));
    }

    /** A fill of a colour right above a plate. */
    public static function fillWith(FlatScene $scene, string $id, string $colour): FlatScene
    {
        $plate = self::plate($scene, $id);

        return self::insert($scene, [
            'id' => self::newId(), 'kind' => 'fill', 'name' => self::freeName($scene, 'Average of '.mb_substr((string) $plate['name'], 0, 60)), 'values' => ['colour' => $colour],
        ], $id);
    }

    /** What a mend does. */
    public static function mend(FlatScene $scene, Reading $reading, Mend $mend): FlatScene
    {
        if ($mend->strip !== null) {
            return self::change($scene, $mend->strip, ['values' => $mend->values]);
        }
        $accepted = is_array($scene->scene['accepted'] ?? null) ? $scene->scene['accepted'] : [];

        return $scene->with(['scene' => ['accepted' => [...$accepted, $reading->id]]]);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws SceneError
     */
    private static function plate(FlatScene $scene, string $id): array
    {
        $strip = self::strip($scene, $id);

        return $strip['kind'] === 'plate' ? $strip : throw new SceneError('strip', 'this strip is no plate');
    }

    public static function removeMask(FlatScene $scene, string $id, string $mask): FlatScene
    {
        $strip = self::strip($scene, $id);
        $strip['masks'] = array_values(array_filter(self::fields($strip['masks'] ?? []), static fn (mixed $entry): bool => self::fields($entry)['id'] !== $mask));

        return $scene->with(['strips' => [$id => $strip]]);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws SceneError when there is no such strip
     */
    private static function strip(FlatScene $scene, string $id): array
    {
        return $scene->strips[$id] ?? throw new SceneError('strip', "there is no strip \"{$id}\" in this scene");
    }

    public static function newId(): string
    {
        return Str::lower(Str::random(12));
    }

    public static function freeName(FlatScene $scene, string $wanted): string
    {
        $taken = array_column($scene->strips, 'name');
        $stem = (string) preg_replace('/ \d+$/D', '', $wanted);
        for ($name = $wanted, $k = 2; in_array($name, $taken, true); $k++) {
            $name = mb_substr($stem, 0, 74)." {$k}";
        }

        return $name;
    }

    /**
     * @param  array<mixed>  $masks
     * @param  array<mixed>  $part
     * @return list<mixed>
     */
    private static function changeMask(array $masks, string $id, array $part): array
    {
        foreach ($masks as $at => $mask) {
            $mask = self::fields($mask);
            if ($mask['id'] === $id) {
                $values = array_replace(self::fields($mask['values'] ?? []), self::fields($part['values'] ?? []));
                $strokes = $part['strokes'] ?? (isset($part['stroke']) ? [$part['stroke']] : []);
                if ($strokes !== []) {
                    $values['strokes'] = [...self::fields($values['strokes'] ?? []), ...array_values(self::fields($strokes, "masks.{$id}.strokes"))];
                }
                $masks[$at] = array_replace($mask, array_intersect_key($part, array_flip(['join', 'inverted', 'off'])), ['values' => $values]);

                return array_values($masks);
            }
        }
        throw new SceneError('mask', "there is no mask \"{$id}\" on this strip");
    }

    /** @return array<mixed> */
    private static function fields(mixed $value, string $field = 'values'): array
    {
        return is_array($value) ? $value : throw SceneError::expected($field, 'an object', $value);
    }
}
