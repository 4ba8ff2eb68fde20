<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * One piece of work in the database.
 *
 * @property string $id
 * @property string $title
 * @property int $width
 * @property int $height
 * @property float $white
 * @property array<string, mixed> $unknown
 * @property int $edits_done
 * @property int $revision
 * @property int $order_revision
 * @property int $stage_revision
 * @property string|null $folder where it lies on the wall
 * @property int|null $strips_count where they were counted along
 * @property Carbon|null $deleted_at
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property-read Collection<int, Export> $exports
 */
final class Scene extends Model
{
    use HasUlids, SoftDeletes;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'width' => 'int', 'height' => 'int', 'white' => 'float', 'unknown' => 'array', 'edits_done' => 'int', 'revision' => 'int', 'order_revision' => 'int', 'stage_revision' => 'int',
    ];

    /** @return HasMany<Strip, $this> */
    public function strips(): HasMany
    {
        $inOrder = $this->hasMany(Strip::class);
        $inOrder->orderBy('position');

        return $inOrder;
    }

    /** @return HasMany<Edit, $this> */
    public function edits(): HasMany
    {
        $inOrder = $this->hasMany(Edit::class);
        $inOrder->orderBy('position');

        return $inOrder;
    }

    /** @return HasMany<Export, $this> */
    public function exports(): HasMany
    {
        $latest = $this->hasMany(Export::class);
        $latest->orderByDesc('id');

        return $latest;
    }

    /** @return BelongsToMany<Picture, $this> */
    public function pictures(): BelongsToMany
    {
        return $this->belongsToMany(Picture::class, 'scene_pictures')->withPivot('name');
    }
}
