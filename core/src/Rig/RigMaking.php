<?php

declare(strict_types=1);

namespace Aumbrel\Core\Rig;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Kinds;
use Aumbrel\Core\Scene\Footings;
use Aumbrel\Core\Scene\MaskEntry;
use Aumbrel\Core\Scene\Measures;
use Aumbrel\Core\Scene\Renaming;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Stage\SceneSource;
use Aumbrel\Core\Value\Values;

/** Some strips of a scene become a rig, with what they cannot do without: the strips that they look at, and their sources. */
final class RigMaking
{
    /** @var array<array-key, Strip> the scene's, by id */
    private array $all = [];

    /** @var array<array-key, true> the strips that go along, by id */
    private array $wanted = [];

    /** @var array<array-key, true> what they name of the scene that is not part of the rig */
    private array $named = [];

    /** @var array<array-key, true> the sources that they hang on */
    private array $sources = [];

    private readonly Carry $carry;

    private readonly RigStrips $strips;

    /**
     * @param  list<string>  $chosen  ids
     * @param  string|null  $plate  the plate that it is about: its middle is what places are told from
     *
     * @throws SceneError when there is no such strip
     */
    public function __construct(private readonly Scene $scene, array $chosen, private readonly ?string $plate, Measures $measures, private readonly Kinds $kinds)
    {
        foreach ($scene->everyStrip() as $strip) {
            $this->all[$strip->id] = $strip;
        }
        foreach ($chosen as $id) {
            $this->want($this->all[$id] ?? throw new SceneError('strips', "there is no strip \"{$id}\" in this scene"));
        }
        if ($plate !== null && ! isset($this->all[$plate])) {
            throw new SceneError('plate', "there is no plate \"{$plate}\" in this scene");
        }
        $this->strips = new RigStrips($kinds);
        $this->carry = Carry::toShares((new Footings($scene, $measures))->of($plate)->middle, min($scene->width, $scene->height));
    }

    /** @throws SceneError when nothing was chosen */
    public function rig(string $name): Rig
    {
        $tops = $this->tops($this->scene->strips);
        $isUnder = $this->plate === null ? [] : $this->under();
        $under = $this->told(array_filter($tops, static fn (Strip $strip): bool => isset($isUnder[$strip->id])));
        $over = $this->told(array_filter($tops, static fn (Strip $strip): bool => ! isset($isUnder[$strip->id])));
        if ($under === [] && $over === []) {
            throw new SceneError('strips', 'a rig holds at least one strip: choose which');
        }
        $sources = array_filter($this->scene->sources, fn (SceneSource $source): bool => isset($this->sources[$source->id]));

        return Rig::with($name, $this->plates(), array_values(array_map($this->source(...), $sources)), $under, $over, $this->kinds);
    }

    /** A strip, what it holds, and what it looks at; plates that it names stay behind. */
    private function want(Strip $strip): void
    {
        if (isset($this->wanted[$strip->id])) {
            return;
        }
        $this->wanted[$strip->id] = true;
        array_map($this->want(...), $strip->strips);
        $same = static fn (string $name): string => $name;
        (new Renaming($this->kinds, function (string $id): string {
            if (isset($this->all[$id]) && ! self::isPlate($this->all[$id])) {
                $this->want($this->all[$id]);
            }

            return $id;
        }, $same, $same))->of(self::plain($strip->toArray()));
    }

    /**
     * Those that are not held by one that goes along.
     *
     * @param  list<Strip>  $strips
     * @return list<Strip>
     */
    private function tops(array $strips): array
    {
        return array_merge(...array_map(fn (Strip $strip): array => isset($this->wanted[$strip->id]) ? [$strip] : $this->tops($strip->strips), $strips));
    }

    /** @return array<array-key, true> the strips that lie under the plate that it is about */
    private function under(): array
    {
        $under = [];
        foreach ($this->scene->everyStrip() as $strip) {
            if ($strip->id === $this->plate) {
                break;
            }
            $under[$strip->id] = true;
        }

        return $under;
    }

    /**
     * As in a scene file, in shares.
     *
     * @param  array<Strip>  $strips
     * @return list<array<array-key, mixed>>
     */
    private function told(array $strips): array
    {
        $masks = [];
        foreach (array_intersect_key($this->all, $this->wanted) as $strip) {
            foreach ($strip->masks as $mask) {
                $masks[$mask->id] = true;
            }
        }
        $named = new Renaming($this->kinds, function (string $id): ?string {
            $this->named[$id] = true;

            return isset($this->all[$id]) ? $id : null;
        }, function (string $id): string {
            $this->sources[$id] = true;

            return $id;
        }, static fn (string $id): string => $id);

        return $this->strips->each(array_values(array_map(static fn (Strip $strip): array => self::plain($strip->toArray()), $strips)), function (array $strip) use ($named, $masks): array {
            $own = $this->all[RigStrips::id($strip)];
            // a mask that uses one that stays behind has its shape itself
            $strip['masks'] = array_map(static fn (MaskEntry $mask): array => self::plain($mask->uses !== null && ! isset($masks[$mask->uses]) ? $mask->whole() : $mask->toArray()), $own->masks);

            return $this->strips->carried(array_diff_key($named->of($strip), ['locked' => true]), $this->carry);
        });
    }

    /** @return list<RigPlate> */
    private function plates(): array
    {
        $lowest = null;
        $plates = [];
        foreach ($this->all as $strip) {
            if (! self::isPlate($strip)) {
                continue;
            }
            $lowest ??= $strip->id;
            if ($strip->id === $this->plate || (isset($this->named[$strip->id]) && ! isset($this->wanted[$strip->id]))) {
                $plates[] = RigPlate::of($strip->id, $strip->name, match ($strip->id) {
                    $this->plate => RigPlate::SUBJECT,
                    $lowest => RigPlate::BACKDROP,
                    default => RigPlate::OTHER,
                });
            }
        }

        return $plates;
    }

    /** @return array<array-key, mixed> */
    private function source(SceneSource $source): array
    {
        $plain = self::plain($source->toArray());

        return array_replace($plain, ['values' => Values::carried($source->kind::parameters(), RigStrips::object($plain['values'] ?? []), $this->carry)]);
    }

    private static function isPlate(Strip $strip): bool
    {
        return $strip->kind::family() === Family::Plate;
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array<array-key, mixed>
     */
    private static function plain(array $fields): array
    {
        /** @var array<array-key, mixed> */
        return json_decode(json_encode($fields, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), true, 64, JSON_THROW_ON_ERROR);
    }
}
