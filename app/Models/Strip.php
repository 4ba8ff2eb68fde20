<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A strip in the database.
 *
 * @property int $id
 * @property string $scene_id
 * @property string $key
 * @property string|null $group_key
 * @property int $position
 * @property string $kind
 * @property string $name
 * @property array<string, mixed> $fields
 * @property int $revision
 */
final class Strip extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['position' => 'int', 'fields' => 'array', 'revision' => 'int'];

    /** @return HasMany<Mask, $this> */
    public function masks(): HasMany
    {
        $inOrder = $this->hasMany(Mask::class);
        $inOrder->orderBy('position');

        return $inOrder;
    }
}
