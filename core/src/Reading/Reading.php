<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

/** Something that was noticed: which strips it concerns, what is seen with its number, why it matters, and what would mend it. */
final readonly class Reading
{
    /**
     * @param  list<string>  $strips
     * @param  float|null  $confidence  0..1, where it rests on an estimate
     * @param  list<Mend>  $mends
     * @param  bool  $isHint  something to know, which may well be right as it is
     */
    public function __construct(
        public string $id,
        public string $kind,
        public array $strips,
        public string $seen,
        public string $why,
        public ?float $number = null,
        public string $unit = '',
        public ?float $confidence = null,
        public array $mends = [],
        public bool $isHint = false,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'kind' => $this->kind, 'strips' => $this->strips, 'seen' => $this->seen, 'why' => $this->why,
            'number' => $this->number, 'unit' => $this->unit, 'confidence' => $this->confidence, 'hint' => $this->isHint,
            'mends' => array_map(static fn (Mend $mend): array => ['key' => $mend->key, 'label' => $mend->label, 'strip' => $mend->strip, 'values' => (object) $mend->values, ...($mend->fields === [] ? [] : ['fields' => $mend->fields])], $this->mends),
        ];
    }
}
