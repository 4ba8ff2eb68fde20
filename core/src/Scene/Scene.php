<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Color\Kelvin;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\Kinds;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Stage\Ambient;
use Aumbrel\Core\Stage\SceneSource;
use Aumbrel\Core\Stage\Stage;
use Closure;
use JsonException;

/** One piece of work as its file holds it: size, white, and the strips back to front. */
final readonly class Scene
{
    /** Version 2 has room for sources, the stage and the ambient, and calls the reach law that does not fade `constant`. */
    public const VERSION = 2;

    /** Versions that are read; what they call otherwise is understood ({@see \Aumbrel\Core\Value\ChoiceValue}). */
    public const READ = [1, 2];

    public const LARGEST_SIDE = 30000;

    public const MOST_PIXELS = 100_000_000;

    private const MOST_STRIPS = 200;

    private const MOST_ACCEPTED = 1000;

    /**
     * @param  float  $white  kelvin of the light that the scene shows as white
     * @param  list<Strip>  $strips
     * @param  list<string>  $accepted  readings that are meant, by their ids
     * @param  list<SceneSource>  $sources  lamps and suns that strips hang on
     * @param  array<string, mixed>  $unknown
     * @param  list<Snapshot>  $snapshots  named variants
     * @param  list<string>  $shownElsewhere  plain names of the pictures that these show
     */
    private function __construct(
        public string $title,
        public int $width,
        public int $height,
        public float $white,
        public array $strips,
        public array $accepted,
        public array $sources,
        public Stage $stage,
        public Ambient $ambient,
        private array $unknown,
        public array $snapshots = [],
        private array $shownElsewhere = [],
    ) {
    }

    /** @throws SceneError when it is no scene, naming the field */
    public static function fromJson(string $json, Kinds $kinds): self
    {
        try {
            $raw = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $error) {
            throw new SceneError('', "this is no JSON: {$error->getMessage()}");
        }

        return self::read($raw, $kinds);
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, Kinds $kinds): self
    {
        $fields = new Fields($raw, '');
        $version = $fields->take('aumbrel');
        if (! in_array($version, self::READ, true)) {
            throw SceneError::expected('aumbrel', 'version '.implode(' or ', self::READ), $version);
        }
        $size = $fields->take('size');
        $snapshots = $fields->list('snapshots', Snapshot::MOST);
        [$width, $height] = [self::side($size, 0), self::side($size, 1)];
        $scene = new self(
            $fields->text('title', 'Untitled', 120),
            $width,
            $height,
            $fields->number('white', 6500, Kelvin::LOWEST_WHITE, Kelvin::HOTTEST, 'K'),
            Strip::readAll(SharedMasks::filled($fields->list('strips', self::MOST_STRIPS)), 'strips', $kinds),
            self::accepted($fields->list('accepted', self::MOST_ACCEPTED)),
            SceneSource::readAll($fields->list('sources', SceneSource::MOST), 'sources'),
            Stage::read($fields->take('stage'), 'stage', $width, $height),
            Ambient::read($fields->take('ambient'), 'ambient'),
            $fields->rest(),
            array_map(static fn (mixed $snapshot, int $at): Snapshot => Snapshot::read($snapshot, "snapshots[{$at}]"), $snapshots, array_keys($snapshots)),
        );
        if ($scene->width * $scene->height > self::MOST_PIXELS) {
            throw SceneError::expected('size', 'at most 100 megapixels', [$scene->width, $scene->height]);
        }
        $scene->checkIdentifiers();
        (new LookedAt($scene))->check();

        /** @phpstan-ignore argument.type (the names are those of the properties) */
        return $snapshots === [] ? $scene : new self(...[...get_object_vars($scene), 'shownElsewhere' => $scene->checkedSnapshots($kinds)]);
    }

    /**
     * The scene as one of its variants has it.
     *
     * @throws SceneError when there is no such snapshot
     */
    public function snapshot(string $id, Kinds $kinds): self
    {
        foreach ($this->snapshots as $at => $snapshot) {
            if ($snapshot->id === $id) {
                try {
                    return self::read($snapshot->of($this->toArray()), $kinds);
                } catch (SceneError $error) {
                    throw new SceneError("snapshots[{$at}].{$error->field}", $error->reason);
                }
            }
        }
        throw new SceneError('snapshot', "there is no snapshot \"{$id}\" in this scene");
    }

    /**
     * @return list<string> plain names of the pictures that they show
     *
     * @throws SceneError when one of them is no scene, or two have one id
     */
    private function checkedSnapshots(Kinds $kinds): array
    {
        $known = $pictures = [];
        foreach ($this->snapshots as $snapshot) {
            if (isset($known[$snapshot->id])) {
                throw new SceneError('snapshots', "two snapshots have the id \"{$snapshot->id}\"");
            }
            $known[$snapshot->id] = true;
            $pictures[] = $this->snapshot($snapshot->id, $kinds)->pictures();
        }

        return array_values(array_unique(array_merge(...$pictures)));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'aumbrel' => self::VERSION,
            'title' => $this->title,
            'size' => [$this->width, $this->height],
            'white' => $this->white,
            ...($this->stage->isBare() ? [] : ['stage' => $this->stage->toArray()]),
            ...($this->ambient->isUsual() ? [] : ['ambient' => $this->ambient->toArray()]),
            ...($this->sources === [] ? [] : ['sources' => array_map(static fn (SceneSource $source): array => $source->toArray(), $this->sources)]),
            'strips' => array_map(static fn (Strip $strip): array => $strip->toArray(), $this->strips),
            ...($this->accepted === [] ? [] : ['accepted' => $this->accepted]),
            ...($this->snapshots === [] ? [] : ['snapshots' => array_map(static fn (Snapshot $snapshot): array => $snapshot->toArray(), $this->snapshots)]),
        ] + $this->unknown;
    }

    public function toJson(): string
    {
        return json_encode($this->toArray(), JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)."\n";
    }

    /** @return list<Strip> every strip with what groups hold, back to front, a group before its own */
    public function everyStrip(): array
    {
        return self::flatten($this->strips);
    }

    /** @return list<Strip> every strip of the stack that a strip is mixed in: of the innermost closed group that holds it, or of the scene */
    public function besides(string $id): array
    {
        return self::flatten(self::stackOf($id, $this->strips, $this->strips) ?? $this->strips);
    }

    /**
     * @param  list<Strip>  $strips
     * @param  list<Strip>  $stack  that these are mixed in
     * @return list<Strip>|null
     */
    private static function stackOf(string $id, array $strips, array $stack): ?array
    {
        foreach ($strips as $strip) {
            $found = $strip->id === $id ? $stack : self::stackOf($id, $strip->strips, $strip->closed ? $strip->strips : $stack);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    public function find(string $id): ?Strip
    {
        foreach ($this->everyStrip() as $strip) {
            if ($strip->id === $id) {
                return $strip;
            }
        }

        return null;
    }

    public function source(string $id): ?SceneSource
    {
        foreach ($this->sources as $source) {
            if ($source->id === $id) {
                return $source;
            }
        }

        return null;
    }

    /**
     * The same scene with other strips.
     *
     * @param  list<Strip>  $strips
     */
    public function with(array $strips): self
    {
        return new self($this->title, $this->width, $this->height, $this->white, $strips, $this->accepted, $this->sources, $this->stage, $this->ambient, $this->unknown, $this->snapshots, $this->shownElsewhere);
    }

    /**
     * The same with one strip, wherever it is, made another one.
     *
     * @param  Closure(Strip): Strip  $change
     */
    public function changing(string $id, Closure $change): self
    {
        return $this->with(self::changed($this->strips, $id, $change));
    }

    /**
     * @param  list<Strip>  $strips
     * @param  Closure(Strip): Strip  $change
     * @return list<Strip>
     */
    private static function changed(array $strips, string $id, Closure $change): array
    {
        return array_map(static fn (Strip $strip): Strip => match (true) {
            $strip->id === $id => $change($strip),
            $strip->isGroup() => $strip->holding(self::changed($strip->strips, $id, $change)),
            default => $strip,
        }, $strips);
    }

    /** @return list<string> plain names of the pictures that it is made of */
    public function pictures(): array
    {
        return array_values(array_unique(array_merge($this->shownElsewhere, ...array_map(static fn (Strip $strip): array => $strip->pictures(), $this->everyStrip()))));
    }

    /** @return list<Strip> the plates that are not muted, each by itself, before anything was lit */
    public function unlit(): array
    {
        return array_values(array_map(static fn (Strip $plate): Strip => $plate->byItself()->masked($plate->cutOut()), array_filter($this->everyStrip(), static fn (Strip $strip): bool => $strip->kind instanceof Pictured && ! $strip->muted)));
    }

    /** A plate by its id. */
    public function plate(string $id): ?Pictured
    {
        $kind = $this->find($id)?->kind;

        return $kind instanceof Pictured ? $kind : null;
    }

    /**
     * The strips up to and with the given one; of the groups around it, what lies below it.
     *
     * @return list<Strip>
     *
     * @throws SceneError when there is no such strip
     */
    public function upTo(string $id): array
    {
        return self::cut($this->strips, $id) ?? throw new SceneError('until', "there is no strip \"{$id}\" in this scene");
    }

    /**
     * What lies below a strip in the stack that it is mixed in, the scene's or a closed group's, and the strip.
     *
     * @return array{list<Strip>, Strip}
     *
     * @throws SceneError when there is no such strip
     */
    public function under(string $id): array
    {
        $strip = $this->find($id) ?? throw new SceneError('strip', "there is no strip \"{$id}\" in this scene");

        return [self::lower($this->strips, $id) ?? [], $strip];
    }

    /**
     * @param  list<Strip>  $strips
     * @return list<Strip>|null
     */
    private static function lower(array $strips, string $id): ?array
    {
        foreach ($strips as $at => $strip) {
            if ($strip->id === $id) {
                return array_slice($strips, 0, $at);
            }
            $inside = $strip->isGroup() ? self::lower($strip->strips, $id) : null;
            if ($inside !== null) {
                return $strip->closed ? $inside : [...array_slice($strips, 0, $at), $strip->holding($inside)];
            }
        }

        return null;
    }

    /**
     * @param  list<Strip>  $strips
     * @return list<Strip>|null
     */
    private static function cut(array $strips, string $id): ?array
    {
        foreach ($strips as $at => $strip) {
            if ($strip->id === $id) {
                return array_slice($strips, 0, $at + 1);
            }
            $inside = $strip->isGroup() ? self::cut($strip->strips, $id) : null;
            if ($inside !== null) {
                return [...array_slice($strips, 0, $at), $strip->holding($inside)];
            }
        }

        return null;
    }

    /**
     * Some strips, and all that they hold, each group before what is in it.
     *
     * @param  list<Strip>  $strips
     * @return list<Strip>
     */
    public static function flatten(array $strips): array
    {
        $all = [];
        foreach ($strips as $strip) {
            $all[] = $strip;
            array_push($all, ...self::flatten($strip->strips));
        }

        return $all;
    }

    /** @throws SceneError */
    private function checkIdentifiers(): void
    {
        $plates = $seen = [];
        $every = $this->everyStrip();
        if (count($every) > self::MOST_STRIPS) {
            throw SceneError::expected('strips', 'at most '.self::MOST_STRIPS.' strips', count($every));
        }
        foreach ($every as $strip) {
            if (isset($seen[$strip->id])) {
                throw new SceneError('strips', "two strips have the id \"{$strip->id}\"");
            }
            $seen[$strip->id] = true;
            if ($strip->kind instanceof Pictured) {
                $plates[$strip->id] = true;
            }
        }
        foreach ($every as $strip) {
            if ($strip->confinedTo !== null && ! isset($plates[$strip->confinedTo])) {
                throw new SceneError('strips', "\"{$strip->name}\" is confined to \"{$strip->confinedTo}\", which is no plate of this scene");
            }
            $this->checkSource($strip);
            $other = $strip->complements === null ? null : $this->find($strip->complements);
            if ($strip->complements !== null && ($other === null || $other->complements !== null)) {
                throw new SceneError('strips', "\"{$strip->name}\" falls where \"{$strip->complements}\" does not, which is no strip of this scene that has a falloff of its own");
            }
        }
    }

    /** @throws SceneError */
    private function checkSource(Strip $strip): void
    {
        if ($strip->source === null || ! $strip->kind instanceof Driven) {
            return;
        }
        $source = $this->source($strip->source) ?? throw new SceneError('strips', "\"{$strip->name}\" hangs on \"{$strip->source}\", which is no source of this scene");
        if (! in_array($source->kind::class, $strip->kind::hangsOn(), true)) {
            throw new SceneError('strips', "\"{$strip->name}\" cannot hang on {$source->name}: a {$strip->kind::key()} hangs on a ".implode(' or a ', array_map(static fn (string $kind): string => $kind::key(), $strip->kind::hangsOn())));
        }
    }

    /**
     * @param  list<mixed>  $raw
     * @return list<string>
     *
     * @throws SceneError
     */
    private static function accepted(array $raw): array
    {
        $accepted = [];
        foreach ($raw as $at => $id) {
            $accepted[] = is_string($id) && strlen($id) <= 200 ? $id : throw SceneError::expected("accepted[{$at}]", 'the id of a reading', $id);
        }

        return $accepted;
    }

    private static function side(mixed $size, int $axis): int
    {
        $side = is_array($size) && count($size) === 2 ? $size[$axis] ?? null : null;

        return is_int($side) && $side >= 1 && $side <= self::LARGEST_SIDE
            ? $side : throw SceneError::expected('size', '[width, height], whole pixels from 1 to '.self::LARGEST_SIDE, $size);
    }
}
