<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A mask of a strip in the database.
 *
 * @property string $key
 * @property string $kind
 * @property int $position
 * @property array<string, mixed> $fields
 */
final class Mask extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['position' => 'int', 'fields' => 'array'];
}
