<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One gesture: what the changed parts of the scene were before, and are after.
 *
 * @property int $position
 * @property string $label
 * @property array<string, mixed> $before
 * @property array<string, mixed> $after
 */
final class Edit extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['position' => 'int', 'before' => 'array', 'after' => 'array'];
}
