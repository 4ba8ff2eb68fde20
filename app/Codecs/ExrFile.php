<?php

declare(strict_types=1);

namespace App\Codecs;

use Aumbrel\Core\Color\HalfFloat;
use Generator;

/**
 * Reads OpenEXR files as renders are written: scan lines, plain or deflated (ZIPS, ZIP), half and whole floats, any number of
 * channels by name. *Technical Introduction to OpenEXR* and *OpenEXR File Layout* (Academy Software Foundation); the deflated
 * blocks are RFC 1950. What is stored otherwise is refused with a sentence.
 */
final readonly class ExrFile
{
    public const MAGIC = "\x76\x2f\x31\x01";

    /** Bits of the version field: tiles, deep data, several parts. */
    private const TILED = 0x200;

    private const DEEP = 0x800;

    private const PARTS = 0x1000;

    /** Rows of a block, by the way it is compressed. */
    private const BLOCKS = [0 => 1, 2 => 1, 3 => 16];

    private const NAMES = [1 => 'RLE', 4 => 'PIZ', 5 => 'PXR24', 6 => 'B44', 7 => 'B44A', 8 => 'DWAA', 9 => 'DWAB'];

    private const UINT = 0;

    private const HALF = 1;

    /** Attributes and channels of a header; more are not to be believed. */
    private const MOST = 1024;

    /**
     * @param  array<string, int>  $channels  how each is stored, by its name, in the order of the file
     * @param  array{int, int, int, int}  $data  the first and last column and row that are stored
     * @param  array{int, int, int, int}  $shown  those of the picture
     * @param  int  $offsets  where the table of blocks begins
     */
    private function __construct(private string $bytes, private string $name, public array $channels, private array $data, private array $shown, private int $compression, private int $offsets)
    {
    }

    /**
     * @param  string  $name  what the person calls the file, for messages only
     *
     * @throws UnreadablePicture
     */
    public static function read(string $bytes, string $name): self
    {
        $damaged = new UnreadablePicture("{$name} has a damaged header: its size cannot be read.");
        $version = strlen($bytes) >= 8 ? unpack('V', $bytes, 4)[1] ?? 0 : 0;
        foreach ([self::TILED => 'in tiles', self::DEEP => 'as deep data', self::PARTS => 'in several parts'] as $bit => $how) {
            if (($version & $bit) !== 0) {
                throw new UnreadablePicture("{$name} is an EXR file that is stored {$how}; those of scan lines in one part are taken. Write it anew that way.");
            }
        }
        if (($version & 255) !== 2) {
            throw $damaged;
        }
        $attributes = [];
        $text = static function (int &$at) use ($bytes, $damaged): string {
            $end = strpos($bytes, "\0", $at);
            if ($end === false || $end - $at > 255) {
                throw $damaged;
            }
            $found = substr($bytes, $at, $end - $at);
            $at = $end + 1;

            return $found;
        };
        for ($at = 8, $count = 0; ; $count++) {
            $key = $text($at);
            if ($key === '') {
                break;
            }
            $text($at);
            $length = $at + 4 <= strlen($bytes) ? unpack('V', $bytes, $at)[1] ?? 0 : 0;
            if ($count > self::MOST || $at + 4 + $length > strlen($bytes)) {
                throw $damaged;
            }
            $attributes[$key] = substr($bytes, $at + 4, $length);
            $at += 4 + $length;
        }
        $compression = ord($attributes['compression'] ?? "\xFF");
        if (! isset(self::BLOCKS[$compression])) {
            throw new UnreadablePicture("{$name} is an EXR file compressed by ".(self::NAMES[$compression] ?? 'a way that is not known').'; plain ones and those by ZIP or ZIPS are taken. Write it anew that way.');
        }
        $window = static function (string $key) use ($attributes, $damaged): array {
            $box = array_map(static fn (int $value): int => $value > 0x7FFFFFFF ? $value - 0x100000000 : $value, array_values(unpack('V4', str_pad($attributes[$key] ?? throw $damaged, 16, "\0")) ?: []));
            if (count($box) !== 4 || $box[2] < $box[0] || $box[3] < $box[1]) {
                throw $damaged;
            }

            return $box;
        };

        return new self($bytes, $name, self::channels($attributes['channels'] ?? '', $name, $damaged), $window('dataWindow'), $window('displayWindow'), $compression, $at);
    }

    /** @return array<string, int> */
    private static function channels(string $list, string $name, UnreadablePicture $damaged): array
    {
        $channels = [];
        for ($at = 0; $at < strlen($list) && $list[$at] !== "\0";) {
            $end = strpos($list, "\0", $at);
            $about = $end === false || $end + 17 > strlen($list) ? throw $damaged : (unpack('Vkind/Cplain/x3/Vacross/Vdown', $list, $end + 1) ?: throw $damaged);
            if ($about['kind'] > 2) {
                throw $damaged;
            }
            if ($about['across'] !== 1 || $about['down'] !== 1) {
                throw new UnreadablePicture("{$name} is an EXR file whose colours are stored at a lower size than its brightness; those that store every channel whole are taken.");
            }
            $channels[substr($list, $at, $end - $at)] = $about['kind'];
            $at = $end + 17;
        }

        return $channels === [] || count($channels) > self::MOST ? throw $damaged : $channels;
    }

    public function width(): int
    {
        return $this->shown[2] - $this->shown[0] + 1;
    }

    public function height(): int
    {
        return $this->shown[3] - $this->shown[1] + 1;
    }

    /** Bytes that its rows take when they are unpacked: what a claim of its header can be held against. */
    public function work(): int
    {
        return ($this->data[2] - $this->data[0] + 1) * ($this->data[3] - $this->data[1] + 1) * array_sum(array_map(static fn (int $kind): int => $kind === self::HALF ? 2 : 4, $this->channels));
    }

    /**
     * Its rows from the top, each a list of values by channel; 0 outside of what is stored, and for what is no number.
     *
     * @param  list<string>  $wanted
     * @return Generator<int, array<string, list<float>>>
     *
     * @throws UnreadablePicture when a part of it is missing or damaged
     */
    public function rows(array $wanted): Generator
    {
        $empty = array_fill_keys($wanted, array_fill(0, $this->width(), 0.0));
        $columns = $this->data[2] - $this->data[0] + 1;
        $first = $this->data[0] - $this->shown[0];
        $block = [];
        for ($y = $this->shown[1]; $y <= $this->shown[3]; $y++) {
            if ($y < $this->data[1] || $y > $this->data[3]) {
                yield $y - $this->shown[1] => $empty;

                continue;
            }
            $lines = self::BLOCKS[$this->compression];
            $at = intdiv($y - $this->data[1], $lines);
            $block = ($block[0] ?? null) === $at ? $block : [$at, $this->block($at)];
            $offset = ($y - $this->data[1] - $at * $lines) * intdiv($this->work(), $this->data[3] - $this->data[1] + 1);
            $row = [];
            foreach ($this->channels as $name => $kind) {
                $length = $columns * ($kind === self::HALF ? 2 : 4);
                if (in_array($name, $wanted, true)) {
                    $row[$name] = $this->placed(self::values(substr($block[1], $offset, $length), $kind), $first);
                }
                $offset += $length;
            }
            yield $y - $this->shown[1] => $row + $empty;
        }
    }

    /** @return list<float> */
    private static function values(string $bytes, int $kind): array
    {
        return match ($kind) {
            self::HALF => HalfFloat::all(array_values(unpack('v*', $bytes) ?: [])),
            self::UINT => array_map(floatval(...), array_values(unpack('V*', $bytes) ?: [])),
            default => array_map(static fn (float $value): float => is_finite($value) ? $value : 0.0, array_values(unpack('g*', $bytes) ?: [])),
        };
    }

    /**
     * @param  list<float>  $values
     * @return list<float> in the row of the picture
     */
    private function placed(array $values, int $first): array
    {
        $width = $this->width();
        if ($first === 0 && count($values) === $width) {
            return $values;
        }
        $row = array_fill(0, $width, 0.0);
        foreach ($values as $at => $value) {
            if ($first + $at >= 0 && $first + $at < $width) {
                $row[$first + $at] = $value;
            }
        }

        /** @var list<float> $row changed only where it had values already */
        return $row;
    }

    private function block(int $at): string
    {
        $missing = new UnreadablePicture("{$this->name} is incomplete: a part of its data is missing. Copy or export it again.");
        $place = $this->offsets + 8 * $at;
        $offset = $place + 8 <= strlen($this->bytes) ? unpack('P', $this->bytes, $place)[1] ?? 0 : throw $missing;
        if (! is_int($offset) || $offset < 8 || $offset + 8 > strlen($this->bytes)) {
            throw $missing;
        }
        ['row' => $row, 'length' => $length] = unpack('Vrow/Vlength', $this->bytes, $offset) ?: throw $missing;
        $lines = self::BLOCKS[$this->compression];
        $rows = $this->data[3] - $this->data[1] + 1;
        $whole = intdiv($this->work(), $rows) * min($lines, $rows - $at * $lines);
        if ($offset + 8 + $length > strlen($this->bytes) || ($row & 0xFFFFFFFF) !== (($this->data[1] + $at * $lines) & 0xFFFFFFFF)) {
            throw $missing;
        }
        $data = substr($this->bytes, $offset + 8, $length);
        // what would not have become smaller is stored as it is
        $data = $length === $whole ? $data : self::inflated($data, $whole);

        return strlen($data) === $whole ? $data : throw new UnreadablePicture("{$this->name} could not be decoded: the file seems to be damaged. Export it again.");
    }

    /** Inflates; then every byte is the one before it and a difference, and the first half of them are the even ones. */
    private static function inflated(string $data, int $whole): string
    {
        /** @var list<int> $bytes */
        $bytes = array_values(unpack('C*', (string) @zlib_decode($data, $whole)) ?: []);
        $last = $bytes[0] ?? 0;
        for ($at = 1, $end = count($bytes); $at < $end; $at++) {
            $bytes[$at] = $last = ($last + $bytes[$at] + 128) & 255;
        }
        $half = intdiv(count($bytes) + 1, 2);
        $mixed = [];
        for ($at = 0; $at < $half; $at++) {
            $mixed[] = $bytes[$at];
            if (isset($bytes[$half + $at])) {
                $mixed[] = $bytes[$half + $at];
            }
        }

        return pack('C*', ...$mixed);
    }
}
