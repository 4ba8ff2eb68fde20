<?php

declare(strict_types=1);

namespace Aumbrel\Core\Ramp;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kernel\KernelWriter;

/** The stops of a mask's gradient: offset, value 0..1 and midpoint, along a {@see Course}. */
final readonly class Stops
{
    /** @param  non-empty-list<array{offset: float, value: float, midpoint: float, smooth: bool}>  $stops */
    private function __construct(public array $stops)
    {
    }

    /** @param  array{float, float, 2?: float}  ...$stops offset, value and midpoint of each */
    public static function of(array ...$stops): self
    {
        return self::read(array_map(
            static fn (array $stop): array => ['offset' => $stop[0], 'value' => $stop[1], 'midpoint' => $stop[2] ?? 0.5],
            array_values($stops),
        ), 'stops');
    }

    /** @throws SceneError naming $field */
    public static function read(mixed $raw, string $field): self
    {
        $read = Course::read($raw, $field, '{offset, value}', static fn (array $stop, string $at): float => Course::share($stop['value'] ?? null, "{$at}.value", 0, 1));

        return new self(array_map(static fn (array $stop): array => ['offset' => $stop['offset'], 'value' => $stop['own'], 'midpoint' => $stop['midpoint'], 'smooth' => $stop['smooth']], $read));
    }

    /** The value at t, written plainly; kernels write the same as branches. */
    public function valueAt(float $t, bool $smooth): float
    {
        [$from, $to, $share] = Course::at($this->stops, $t, $smooth);

        return $from['value'] + $share * ($to['value'] - $from['value']);
    }

    /** Writes the value at the variable $t into the variable $into. */
    public function write(KernelWriter $kernel, string $t, string $into, bool $smooth): void
    {
        Course::write($kernel, $this->stops, $t, $smooth,
            static fn (array $stop): string => "{$into} = {$kernel->number($stop['value'])};",
            static fn (array $from, array $to, string $share): string => "{$into} = {$kernel->number($from['value'])} + {$share} * {$kernel->number($to['value'] - $from['value'])};");
    }

    /** @return list<array<string, mixed>> */
    public function toArray(): array
    {
        return array_map(static fn (array $stop): array => Course::written($stop, ['value' => $stop['value']]), $this->stops);
    }
}
