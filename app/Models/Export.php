<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A picture that is being, or has been, written out at full size.
 *
 * @property string $id
 * @property string $scene_id
 * @property string $format
 * @property int $bits
 * @property int|null $quality
 * @property string $state
 * @property float $progress
 * @property array<string, mixed> $scene
 * @property array<string, mixed>|null $options
 * @property string|null $batch
 * @property string $name
 * @property string|null $problem
 * @property int|null $process_group
 * @property int $starts
 * @property int|null $bytes
 * @property int|null $clipped
 * @property Carbon|null $created_at
 */
final class Export extends Model
{
    use HasUlids;

    public const WAITING = 'waiting';

    public const RUNNING = 'running';

    public const DONE = 'done';

    public const FAILED = 'failed';

    public const CANCELLED = 'cancelled';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['bits' => 'int', 'quality' => 'int', 'progress' => 'float', 'scene' => 'array', 'options' => 'array', 'bytes' => 'int', 'clipped' => 'int', 'process_group' => 'int', 'starts' => 'int'];
}
