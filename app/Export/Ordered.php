<?php

declare(strict_types=1);

namespace App\Export;

use App\Codecs\PictureFormat;
use App\Codecs\Primaries;
use Illuminate\Validation\Rule;

/** What is wanted of an export: what is written, in which format, size and colours. */
final readonly class Ordered
{
    public const LONGEST_SIDE = 30000;

    /**
     * @param  Writes  $writes  a picture, or what goes on elsewhere
     * @param  8|16  $bits  8 where the format has no more
     * @param  int  $quality  1 to 100, where the format loses anything
     * @param  int|null  $longSide  px of the longer side; null for as large as the scene, or by its share
     * @param  float  $percent  of the scene's size
     * @param  int  $sharpen  percent, once it has its size
     * @param  bool  $metadata  whether what the backdrop's file says of itself goes along
     */
    private function __construct(
        public Writes $writes,
        public PictureFormat $format,
        public int $bits,
        public int $quality,
        public ?int $longSide,
        public float $percent,
        public int $sharpen,
        public Primaries $colours,
        public bool $metadata,
    ) {
    }

    /** @return array<string, list<mixed>|string> */
    public static function rules(): array
    {
        return [
            'writes' => ['sometimes', Rule::enum(Writes::class)],
            'format' => ['required', Rule::in(array_column([...PictureFormat::written(), PictureFormat::Exr], 'value'))],
            'bits' => 'sometimes|in:8,16',
            'quality' => 'sometimes|integer|between:1,100',
            'longSide' => 'sometimes|nullable|integer|between:1,'.self::LONGEST_SIDE,
            'percent' => 'sometimes|numeric|between:1,400',
            'sharpen' => 'sometimes|integer|between:0,200',
            'colours' => ['sometimes', Rule::enum(Primaries::class)],
            'metadata' => 'sometimes|boolean',
        ];
    }

    /** @param  array<array-key, mixed>  $fields  checked by the rules */
    public static function of(array $fields): self
    {
        $number = static fn (string $name, float $default): float => is_numeric($fields[$name] ?? null) ? (float) $fields[$name] : $default;
        $text = static fn (string $name): string => is_string($fields[$name] ?? null) ? $fields[$name] : '';
        $writes = Writes::tryFrom($text('writes')) ?? Writes::Picture;
        $format = PictureFormat::tryFrom($text('format')) ?? PictureFormat::Png;
        $bits = ($number('bits', 8) > 8 && in_array(16, $format->bits(), true)) || $format === PictureFormat::Exr ? 16 : 8;

        return new self(
            $writes, $format, $bits, (int) $number('quality', 92), isset($fields['longSide']) ? (int) $number('longSide', 0) : null, $number('percent', 100), (int) $number('sharpen', 0),
            Primaries::tryFrom($text('colours')) ?? Primaries::Srgb, filter_var($fields['metadata'] ?? false, FILTER_VALIDATE_BOOLEAN),
        );
    }

    public static function picture(PictureFormat $format, int $bits, int $quality): self
    {
        return self::of(['format' => $format->value, 'bits' => $bits, 'quality' => $quality]);
    }

    /** @return array<string, mixed> what is kept of it beside format, bits and quality */
    public function options(): array
    {
        return ['writes' => $this->writes->value, 'longSide' => $this->longSide, 'percent' => $this->percent, 'sharpen' => $this->sharpen, 'colours' => $this->colours->value, 'metadata' => $this->metadata];
    }

    /** What the file's name ends in. */
    public function ending(): string
    {
        return match ($this->writes) {
            Writes::Layers => 'ora',
            Writes::Passes => 'zip',
            default => $this->format->ending(),
        };
    }

    /** What is said of it in the name of the file. */
    public function said(): string
    {
        return match ($this->writes) {
            Writes::Picture => $this->format === PictureFormat::Exr ? '' : ($this->longSide !== null ? "-{$this->longSide}px" : ($this->percent !== 100.0 ? '-'.round($this->percent).'pc' : '')).($this->colours === Primaries::Srgb ? '' : '-p3').($this->bits === 16 ? '-16bit' : ''),
            Writes::Layers => '',
            Writes::Passes => '-passes',
            Writes::Steps => '-steps',
            Writes::Beside => '-before-and-after',
        };
    }

    /** @return list<string> the command that writes it, without the scene and the file */
    public function command(): array
    {
        if ($this->format === PictureFormat::Exr && $this->writes === Writes::Picture) {
            // in linear light and in its own size, whatever else was set
            return [$this->writes->command()];
        }

        return [
            $this->writes->command(), '--bits', (string) $this->bits, '--quality', (string) $this->quality,
            ...($this->writes === Writes::Passes ? ['--format', $this->format->value] : []),
            ...$this->finish(),
            ...($this->writes === Writes::Beside ? ['--before'] : []),
        ];
    }

    /** @return list<string> size, sharpening and colours, of what has them */
    private function finish(): array
    {
        $isSheet = $this->writes === Writes::Steps || $this->writes === Writes::Beside;
        if ($this->writes !== Writes::Picture && ! $isSheet) {
            return [];
        }
        $size = $this->longSide !== null ? ['--long-side', (string) $this->longSide] : ($this->percent !== 100.0 && ! $isSheet ? ['--percent', (string) $this->percent] : []);

        return $isSheet ? $size : [
            ...$size, ...($this->sharpen > 0 ? ['--sharpen', (string) $this->sharpen] : []),
            ...($this->colours === Primaries::Srgb ? [] : ['--colours', $this->colours->value]), ...($this->metadata ? ['--metadata'] : []),
        ];
    }
}
