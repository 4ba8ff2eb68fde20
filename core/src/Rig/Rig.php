<?php

declare(strict_types=1);

namespace Aumbrel\Core\Rig;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Input\Fields;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Kinds;
use Aumbrel\Core\Scene\Footings;
use Aumbrel\Core\Scene\Measures;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Stage\SceneSource;
use Aumbrel\Core\Stage\Wall;
use Aumbrel\Core\Value\Values;
use Closure;
use JsonException;

/**
 * A look kept for the next picture: strips with the sources that they hang on, places as shares of the picture's short side from
 * the middle of a plate's box or of the scene, lengths as shares of it. Used, it makes ordinary strips.
 *
 * @phpstan-type Entries list<array<array-key, mixed>>
 * @phpstan-type Made array{sources: Entries, under: Entries, strips: Entries}
 */
final readonly class Rig
{
    public const VERSION = 1;

    public const LONGEST_NAME = 60;

    private const MOST_STRIPS = 200;

    /** The picture on which a rig is tried when it comes. */
    private const TRIED_ON = 1000;

    private RigStrips $walk;

    /**
     * @param  list<RigPlate>  $plates  that its strips name
     * @param  Entries  $sources  as in a scene file, in shares
     * @param  Entries  $under  strips that lie under the plate that it was made about
     * @param  Entries  $strips  back to front
     * @param  array<string, mixed>  $unknown
     */
    private function __construct(public string $name, public array $plates, private array $sources, private array $under, private array $strips, private Kinds $kinds, private array $unknown = [])
    {
        $this->walk = new RigStrips($kinds);
    }

    /**
     * @param  list<RigPlate>  $plates
     * @param  Entries  $sources
     * @param  Entries  $under
     * @param  Entries  $strips
     */
    public static function with(string $name, array $plates, array $sources, array $under, array $strips, Kinds $kinds): self
    {
        return new self($name, $plates, $sources, $under, $strips, $kinds);
    }

    /** @throws SceneError when it is no look, naming the field */
    public static function fromJson(string $json, Kinds $kinds): self
    {
        try {
            return self::read(json_decode($json, true, 64, JSON_THROW_ON_ERROR), $kinds);
        } catch (JsonException $error) {
            throw new SceneError('', "this is no JSON: {$error->getMessage()}");
        }
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, Kinds $kinds): self
    {
        $fields = new Fields($raw, '');
        if ($fields->take('aumbrelRig') !== self::VERSION) {
            throw new SceneError('aumbrelRig', 'this is no rig that Aumbrel knows: a file of one begins with "aumbrelRig": '.self::VERSION);
        }
        $fields->take('lengths');
        $plates = [];
        foreach ($fields->list('plates', self::MOST_STRIPS) as $at => $plate) {
            $plates[] = RigPlate::read($plate, "plates[{$at}]");
        }
        $rig = new self(
            $fields->text('name', 'Rig', self::LONGEST_NAME), $plates, self::entries($fields, 'sources', SceneSource::MOST), self::entries($fields, 'under', self::MOST_STRIPS), self::entries($fields, 'strips', self::MOST_STRIPS),
            $kinds, $fields->rest(),
        );
        // what is wrong with it is said when it comes, not when it is used
        $rig->tried();

        return $rig;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'aumbrelRig' => self::VERSION, 'name' => $this->name, 'lengths' => 'shares of the short side',
            'plates' => array_map(static fn (RigPlate $plate): array => $plate->toArray(), $this->plates), 'sources' => $this->sources,
            ...($this->under === [] ? [] : ['under' => $this->under]), 'strips' => $this->strips,
        ] + $this->unknown;
    }

    public function toJson(): string
    {
        return json_encode($this->toArray(), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n";
    }

    /** How many strips it makes, without those that groups hold. */
    public function count(): int
    {
        return count($this->under) + count($this->strips);
    }

    /** Under another name. */
    public function called(string $name): self
    {
        return new self($name, $this->plates, $this->sources, $this->under, $this->strips, $this->kinds, $this->unknown);
    }

    /** @return list<string> plain names of the pictures that its strips show, or that their masks are made of */
    public function pictures(): array
    {
        $names = [];
        $this->showing(static function (string $name) use (&$names): string {
            $names[] = $name;

            return $name;
        });

        return array_values(array_unique($names));
    }

    /**
     * The same with its pictures called otherwise.
     *
     * @param  Closure(string): ?string  $picture  null for one that is not there: a strip that is nothing without it goes
     */
    public function showing(Closure $picture): self
    {
        $show = fn (array $strip): ?array => $this->walk->showing($strip, $picture);

        return new self($this->name, $this->plates, $this->sources, $this->walk->each($this->under, $show), $this->walk->each($this->strips, $show), $this->kinds, $this->unknown);
    }

    /** The plate that it was made about, when it was made about one. */
    public function subject(): ?RigPlate
    {
        foreach ($this->plates as $plate) {
            if ($plate->is === RigPlate::SUBJECT) {
                return $plate;
            }
        }

        return null;
    }

    /**
     * The plate of a scene that it would be about; null for the scene as a whole.
     *
     * @throws SceneError when a plate that it needs is missing
     */
    public function about(Scene $scene, ?string $chosen): ?string
    {
        $subject = $this->subject();

        return $subject === null ? null : $this->matched($scene, $chosen)[$subject->id];
    }

    /**
     * Its strips and sources for a scene, in pixels, with ids of their own.
     *
     * @param  string|null  $chosen  the plate that it is for
     * @param  Closure(): string  $newId
     * @return Made as in a scene file; `under` goes under the plate that it is about
     *
     * @throws SceneError when a plate that it needs is missing
     */
    public function onto(Scene $scene, ?string $chosen, Measures $measures, Closure $newId): array
    {
        $middle = (new Footings($scene, $measures))->of($this->about($scene, $chosen))->middle;
        $walls = array_map(static fn (Wall $wall): string => $wall->id, $scene->stage->walls);

        return $this->placed(Carry::toPixels($middle, min($scene->width, $scene->height)), $this->matched($scene, $chosen), $walls, $newId);
    }

    /**
     * Which plates of a scene take the places of its own: the chosen one that of the plate that it was made about, the lowest that
     * of the lowest; of the rest those that are them, or are called so.
     *
     * @return array<array-key, string> the scene's by the rig's
     *
     * @throws SceneError when one is missing
     */
    private function matched(Scene $scene, ?string $chosen): array
    {
        $plates = [];
        foreach ($scene->everyStrip() as $strip) {
            if ($strip->kind::family() === Family::Plate) {
                $plates[$strip->id] = $strip->name;
            }
        }
        $lowest = array_key_first($plates);
        $subjects = array_slice($plates, 1, preserve_keys: true);
        $matched = [];
        foreach ($this->plates as $plate) {
            $called = array_search($plate->name, $subjects, true);
            $found = match ($plate->is) {
                RigPlate::SUBJECT => $chosen !== null && isset($plates[$chosen]) ? $chosen : ($called !== false ? $called : (count($subjects) === 1 ? array_key_first($subjects) : null)),
                RigPlate::BACKDROP => $lowest,
                default => isset($plates[$plate->id]) ? $plate->id : ($called !== false ? $called : null),
            };
            $matched[$plate->id] = $found === null ? throw new SceneError('plate', $plate->is === RigPlate::SUBJECT
                ? "this rig lights a plate ({$plate->name} in the scene that it is from): choose the plate that it is for"
                : "this rig needs a plate called {$plate->name}, and there is none in this scene") : (string) $found;
        }

        return $matched;
    }

    /**
     * @param  array<array-key, string>  $plates
     * @param  list<string>  $walls
     * @param  Closure(): string  $newId
     * @return Made
     */
    private function placed(Carry $carry, array $plates, array $walls, Closure $newId): array
    {
        [$strips, $masks, $sources] = [$plates, [], []];
        foreach ($this->sources as $source) {
            $sources[RigStrips::id($source)] = $newId();
        }
        $this->walk->each([...$this->under, ...$this->strips], static function (array $strip) use (&$strips, &$masks, $newId): array {
            $strips[RigStrips::id($strip)] = $newId();
            foreach (RigStrips::masks($strip) as $mask) {
                $masks[RigStrips::id($mask)] = $newId();
            }

            return $strip;
        });
        $of = static fn (array $ids): Closure => static fn (string $id): ?string => is_string($ids[$id] ?? null) ? $ids[$id] : null;
        [$strip, $source, $mask] = [$of($strips), $of($sources), $of($masks)];
        $place = fn (array $entry): array => $this->walk->onWalls($this->walk->carried($this->walk->called($entry, $strip, $source, $mask), $carry), $walls);

        return [
            'sources' => array_map(static fn (array $entry): array => array_replace($entry, [
                'id' => $source(RigStrips::id($entry)),
                'values' => Values::carried(SceneSource::kindOf($entry['kind'] ?? null, 'sources.kind')::parameters(), RigStrips::object($entry['values'] ?? []), $carry),
            ]), $this->sources),
            'under' => $this->walk->each($this->under, $place), 'strips' => $this->walk->each($this->strips, $place),
        ];
    }

    /**
     * On a picture without plates.
     *
     * @throws SceneError when its strips are none
     */
    private function tried(): void
    {
        $next = 0;
        $newId = static function () use (&$next): string {
            return 't'.$next++;
        };
        $placed = $this->placed(Carry::toPixels(new Point(self::TRIED_ON / 2, self::TRIED_ON / 2), self::TRIED_ON), [], [], $newId);
        Scene::read(['aumbrel' => Scene::VERSION, 'title' => 'Look', 'size' => [self::TRIED_ON, self::TRIED_ON], 'sources' => $placed['sources'], 'strips' => [...$placed['under'], ...$placed['strips']]], $this->kinds);
    }

    /**
     * @return Entries
     *
     * @throws SceneError
     */
    private static function entries(Fields $fields, string $name, int $most): array
    {
        $entries = [];
        foreach ($fields->list($name, $most) as $at => $entry) {
            $entries[] = is_array($entry) ? $entry : throw SceneError::expected("{$name}[{$at}]", 'an object', $entry);
        }

        return $entries;
    }
}
