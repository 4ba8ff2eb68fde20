<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A picture file that was taken in; its packed rows lie in a folder named after it.
 *
 * @property string $id
 * @property int $width
 * @property int $height
 * @property int $bits
 * @property bool $opaque
 * @property string $format
 */
final class Picture extends Model
{
    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['width' => 'int', 'height' => 'int', 'bits' => 'int', 'opaque' => 'bool'];
}
