<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Fault\SceneError;

/** That a number is so many times another value of the same strip. */
final readonly class Times
{
    private const SLACK = 1e-9;

    public function __construct(public string $of, public float $least, public float $most)
    {
    }

    /** @throws SceneError naming $field */
    public function check(float $value, float $other, string $field, string $label, string $otherLabel): void
    {
        $ratio = $value / $other;
        if (! ($ratio >= $this->least - self::SLACK && $ratio <= $this->most + self::SLACK)) {
            throw new SceneError($field, sprintf('the %s is %s to %s times the %s, not %.2f times', lcfirst($label), $this->least, $this->most, lcfirst($otherLabel), $ratio));
        }
    }

    /** @return array{of: string, least: float, most: float} */
    public function toArray(): array
    {
        return ['of' => $this->of, 'least' => $this->least, 'most' => $this->most];
    }
}
