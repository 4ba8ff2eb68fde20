<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Point;

/** A strip that belongs to a source: what the source's sheet offers. */
final readonly class Proposal
{
    /**
     * @param  string  $key  names it on the sheet
     * @param  class-string<StripKind>  $kind
     * @param  array<string, mixed>  $values  its own; what its source gives it is left out
     * @param  float|null  $level  stops, of a light: together with its source's
     * @param  float|null  $amount  percent, of what is no light
     * @param  string|null  $source  that it hangs on, where no sheet says so
     * @param  bool  $ticked  whether it is ticked beforehand
     * @param  int  $order  the lower ones lie lower
     * @param  Point|null  $brightest  where it is brightest, when its level is to be measured there
     * @param  float  $stops  how far over what is there its brightest place shall be
     * @param  float  $shape  its field there, without a level
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $kind,
        public array $values,
        public ?float $level = null,
        public ?string $confinedTo = null,
        public bool $ticked = true,
        public int $order = 0,
        public ?Point $brightest = null,
        public float $stops = 2.0,
        public float $shape = 1.0,
        public ?float $amount = null,
        public ?string $source = null,
    ) {
    }

    /** The same at another level. */
    public function at(float $level): self
    {
        return new self($this->key, $this->name, $this->kind, $this->values, $level, $this->confinedTo, $this->ticked, $this->order, $this->brightest, $this->stops, $this->shape, $this->amount, $this->source);
    }
}
