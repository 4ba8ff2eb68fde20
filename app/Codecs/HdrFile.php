<?php

declare(strict_types=1);

namespace App\Codecs;

use Generator;

/**
 * Reads Radiance pictures (RGBE, `.hdr`): plain scan lines and those in runs by channel. G. Ward, *Real Pixels* (Graphics Gems
 * II, 1991), and the Radiance picture file format (radsite.lbl.gov/radiance/refer/filefmts.pdf). Rows from the top only.
 */
final readonly class HdrFile
{
    public const MAGIC = '#?';

    /** Lengths of lines that may be in runs by channel. */
    private const SHORTEST = 8;

    private const LONGEST = 0x7FFF;

    private function __construct(private string $bytes, private string $name, public int $width, public int $height, private int $at, private float $exposure)
    {
    }

    /** @throws UnreadablePicture when it is none, or stored in a way that is not taken */
    public static function read(string $bytes, string $name): self
    {
        $end = strpos($bytes, "\n\n");
        $head = $end === false ? '' : substr($bytes, 0, $end);
        $line = $end === false ? '' : substr($bytes, $end + 2, 64);
        if ($end === false || $end > 65536 || preg_match('/^-Y (\d{1,6}) \+X (\d{1,6})\n/', $line, $size) !== 1 || (int) $size[1] < 1 || (int) $size[2] < 1) {
            throw new UnreadablePicture("{$name} has a damaged header, or its rows do not go from the top left. Export it again, as EXR for instance.");
        }
        if (preg_match('/^FORMAT=(.*)$/m', $head, $format) === 1 && trim($format[1]) !== '32-bit_rle_rgbe') {
            throw new UnreadablePicture("{$name} is stored as ".trim($format[1]).'; those in RGBE are taken. Export it again.');
        }
        preg_match_all('/^EXPOSURE=\s*([\d.eE+-]+)\s*$/m', $head, $exposures);
        $exposure = array_product(array_map(static fn (string $number): float => (float) $number, $exposures[1]));

        return new self($bytes, $name, (int) $size[2], (int) $size[1], $end + 2 + strlen($size[0]), $exposure > 0 && is_finite($exposure) ? $exposure : 1.0);
    }

    /** The least bytes that so many pixels can take: a run of 127 takes two, for each channel. */
    public function work(): int
    {
        return intdiv($this->width * $this->height * 8, 127);
    }

    /**
     * Its rows from the top: red, green, blue in linear light.
     *
     * @return Generator<int, array{list<float>, list<float>, list<float>}>
     *
     * @throws UnreadablePicture when a part of it is missing or damaged
     */
    public function rows(): Generator
    {
        $powers = [0.0];
        for ($exponent = 1; $exponent < 256; $exponent++) {
            $powers[] = 2.0 ** ($exponent - 136) / $this->exposure;
        }
        $at = $this->at;
        for ($y = 0; $y < $this->height; $y++) {
            [$red, $green, $blue, $exponents] = $this->line($at);
            $row = [[], [], []];
            foreach ($exponents as $x => $exponent) {
                $power = $powers[$exponent];
                // half a step, as the values were cut off
                [$row[0][], $row[1][], $row[2][]] = $exponent === 0 ? [0.0, 0.0, 0.0] : [($red[$x] + 0.5) * $power, ($green[$x] + 0.5) * $power, ($blue[$x] + 0.5) * $power];
            }
            yield $y => $row;
        }
    }

    /** @return array{list<int>, list<int>, list<int>, list<int>} */
    private function line(int &$at): array
    {
        $mark = substr($this->bytes, $at, 4);
        $inRuns = $this->width >= self::SHORTEST && $this->width <= self::LONGEST && str_starts_with($mark, "\x02\x02") && strlen($mark) === 4 && (ord($mark[2]) << 8 | ord($mark[3])) === $this->width;
        if (! $inRuns) {
            $plain = substr($this->bytes, $at, 4 * $this->width);
            $at += 4 * $this->width;
            if (strlen($plain) !== 4 * $this->width || str_contains($plain, "\x01\x01\x01")) {
                // what repeats pixels by a mark of its own is older than any program that still writes these
                throw $this->incomplete();
            }
            /** @var list<int> $values */
            $values = array_values(unpack('C*', $plain) ?: []);
            $channels = [[], [], [], []];
            foreach ($values as $k => $value) {
                $channels[$k & 3][] = $value;
            }

            return [$channels[0], $channels[1], $channels[2], $channels[3]];
        }
        $at += 4;

        return [$this->run($at), $this->run($at), $this->run($at), $this->run($at)];
    }

    /** @return list<int> one channel of a line */
    private function run(int &$at): array
    {
        $line = '';
        while (strlen($line) < $this->width) {
            $count = ord($this->bytes[$at] ?? throw $this->incomplete());
            if ($count > 128) {
                $line .= str_repeat($this->bytes[$at + 1] ?? throw $this->incomplete(), $count - 128);
                $at += 2;
            } else {
                $part = substr($this->bytes, $at + 1, $count);
                if ($count === 0 || strlen($part) !== $count) {
                    throw $this->incomplete();
                }
                $line .= $part;
                $at += 1 + $count;
            }
        }
        if (strlen($line) !== $this->width) {
            throw $this->incomplete();
        }

        /** @var list<int> */
        return array_values(unpack('C*', $line) ?: []);
    }

    private function incomplete(): UnreadablePicture
    {
        return new UnreadablePicture("{$this->name} is incomplete or damaged: a part of its rows cannot be read. Export it again.");
    }
}
