<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Blend\BlendMode;

/**
 * What a strip lays over the picture: how it joins what lies below, what it covers, what colour it has there, and how much
 * of it there is. The strip's masks and its confinement come in between.
 */
final readonly class Layer
{
    /**
     * @param  bool  $recolours  it changes the colours of what is there and adds nothing where nothing is
     * @param  string|null  $within  a plate to whose outline it is confined, whatever the strip is confined to
     * @param  bool  $inLinear  in normal: mixed in linear light, as a veil is
     */
    public function __construct(
        public BlendMode $mode,
        public Field $field,
        public Tint $tint,
        public Strength $strength,
        public bool $recolours = false,
        public ?string $within = null,
        public bool $inLinear = false,
    ) {
    }

    /** The same where another field says how much of it there is. */
    public function where(Field $field): self
    {
        return new self($this->mode, $field, $this->tint, $this->strength, $this->recolours, $this->within, $this->inLinear);
    }

    /** Whether it needs what lies below as encoded values, to know where it is or what colour it has. */
    public function readsBelow(): bool
    {
        return $this->field->readsBelow() || $this->tint->readsBelow();
    }

    /** Whether a value may lie above 1 after it where none did before. */
    public function mayExceed(): bool
    {
        // white comes back from linear light a hair above itself
        return $this->mode->mayExceed() || $this->tint->mayExceed() || $this->inLinear;
    }
}
