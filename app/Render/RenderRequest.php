<?php

declare(strict_types=1);

namespace App\Render;

use App\Scenes\StrokeShelf;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Render\Shown;
use Closure;

/** What a render process is asked for; travels as a line of JSON, and behind it the scene. */
final readonly class RenderRequest
{
    public const PICTURE = 'picture';

    public const CONTRIBUTIONS = 'contributions';

    /** What one strip alone adds or takes away, brightened so that it can be judged. */
    public const ALONE = 'alone';

    /** The mask that is named among the strips, alone in grey; or with a second name, what it holds back of the picture under a tint. */
    public const MASK = 'mask';

    /** The masks that are named among the strips, in grey, one below the other. */
    public const MASKS = 'masks';

    /** What is measured of every strip in the picture, as JSON. */
    public const FACTS = 'facts';

    public const LIKENESS = 'likeness';

    /** The light that the plate which is named first brings along; as JSON. */
    public const OWN_LIGHT = 'own light';

    /** The picture with one strip in each of the modes that it can be mixed in. */
    public const MODES = 'modes';

    /** The plates that are seen in the middle of a window, the foremost first. */
    public const PLATES = 'plates';

    /** How many pixels of each tone there are below the strip that is named first, or in itself, as the second says; as JSON. */
    public const TONES = 'tones';

    /** How much there is of each hue below the strip that is named first, and the stretch about the hue that comes second; as JSON. */
    public const HUES = 'hues';

    /** The colours below the strip that is named first; as JSON. */
    public const COLOURS = 'colours';

    /** What scopes draw of the window, of one strip by itself where one is named; as JSON. */
    public const SCOPES = 'scopes';

    /** The mean colour of a window after and before it was lit; as JSON. */
    public const VALUES = 'values';

    /** The grain of the plate that is named first, and of what lies around it; as JSON. */
    public const GRAIN = 'grain';

    public SceneText $scene;

    /** @var list<string> what does not travel */
    private const AT_HOME = ['scene', 'kept'];

    /**
     * @param  string  $as  how a picture is shown, as {@see \Aumbrel\Core\Render\Shown}
     * @param  string  $kind  one of those above, or a {@see Study} of the plate that is named first among the strips
     * @param  array<string, mixed>|SceneText  $scene  the document
     * @param  array<string, string>  $pictures  stored pictures by their name in the scene
     * @param  array{float, float, float, float}  $window  x, y, width, height in scene pixels
     * @param  list<string>  $strips  whose contributions are wanted
     * @param  string|null  $below  the strip that is being changed: the picture below it is kept for the next request
     * @param  int|null  $rows  of a band that begins at $firstRow; null for the whole window
     * @param  array<array-key, string>  $strokes  as JSON, by the names that the scene has for them: those that a process may not hold yet
     * @param  (Closure(list<string>): array<array-key, string>)|null  $kept  gives strokes by name
     */
    public function __construct(
        public string $kind,
        array|SceneText $scene,
        public array $pictures,
        public array $window,
        public float $scale,
        public array $strips = [],
        public ?string $below = null,
        public int $firstRow = 0,
        public ?int $rows = null,
        public array $strokes = [],
        private ?Closure $kept = null,
        public string $as = Shown::Colours->value,
    ) {
        $this->scene = is_array($scene) ? SceneText::of($scene) : $scene;
    }

    public static function unpack(string $packed): self
    {
        [$head, $scene] = explode("\n", $packed, 2) + [1 => ''];
        /** @var array{kind: string, pictures: array<string, string>, window: array{float, float, float, float}, scale: float, strips: list<string>, below: string|null, firstRow: int, rows: int|null, strokes: array<array-key, string>, as: string} $raw */
        $raw = json_decode($head, true, 16, JSON_THROW_ON_ERROR);

        return new self(...$raw, scene: SceneText::read($scene));
    }

    public function pack(): string
    {
        $head = array_diff_key(get_object_vars($this), array_flip(self::AT_HOME));

        return json_encode($head, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE)."\n".$this->scene->text();
    }

    /**
     * The same with strokes sent along.
     *
     * @param  list<string>|null  $keys  null for all that the scene names
     */
    public function withStrokes(?array $keys = null): self
    {
        $strokes = $this->kept === null ? [] : ($this->kept)($keys ?? StrokeShelf::keys($this->scene->fields()));

        return $this->with($this->firstRow, $this->rows, $strokes + $this->strokes);
    }

    /** Strips and masks: what the work on a pixel goes by. */
    public function parts(): int
    {
        return max(1, self::counted($this->scene->fields()['strips'] ?? []));
    }

    public function window(): Window
    {
        $whole = $this->wholeWindow();

        return $this->rows === null ? $whole : $whole->band($this->firstRow, $this->rows);
    }

    /**
     * The same in bands of so many rows, one below the other.
     *
     * @param  list<int>  $heights
     * @return list<self>
     */
    public function bands(array $heights): array
    {
        $bands = [];
        $first = 0;
        foreach ($heights as $rows) {
            $bands[] = $this->with($first, $rows, $this->strokes);
            $first += $rows;
        }

        return $bands;
    }

    /** @param  array<array-key, string>  $strokes */
    private function with(int $firstRow, ?int $rows, array $strokes): self
    {
        return new self($this->kind, $this->scene, $this->pictures, $this->window, $this->scale, $this->strips, $this->below, $firstRow, $rows, $strokes, $this->kept, $this->as);
    }

    private static function counted(mixed $strips): int
    {
        $count = 0;
        foreach (is_array($strips) ? $strips : [] as $strip) {
            $count += is_array($strip) ? 1 + count(is_array($strip['masks'] ?? null) ? $strip['masks'] : []) + self::counted($strip['strips'] ?? []) : 0;
        }

        return $count;
    }

    private function wholeWindow(): Window
    {
        [$x, $y, $width, $height] = $this->window;

        return new Window($x, $y, $width, $height, $this->scale);
    }
}
