<?php

declare(strict_types=1);

namespace Aumbrel\Core\Rig;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;

/** A plate that a rig's strips name and that is not part of it: another one takes its place where the rig is used. */
final readonly class RigPlate
{
    /** The plate that the rig was made about. */
    public const SUBJECT = 'subject';

    /** The lowest plate of its scene. */
    public const BACKDROP = 'backdrop';

    public const OTHER = 'other';

    private function __construct(public string $id, public string $name, public string $is)
    {
    }

    public static function of(string $id, string $name, string $is): self
    {
        return new self($id, $name, $is);
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        $fields = new Fields($raw, $field);
        $is = $fields->text('is', self::OTHER, 20);

        return new self(
            $fields->identifier('id'), $fields->text('name', 'Plate', 80),
            in_array($is, [self::SUBJECT, self::BACKDROP, self::OTHER], true) ? $is : throw SceneError::expected("{$field}.is", 'subject, backdrop or other', $is),
        );
    }

    /** @return array{id: string, name: string, is: string} */
    public function toArray(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'is' => $this->is];
    }
}
