<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\Snapshots;

/** The scene becomes as one of its snapshots has it; what it was is one undo away. */
final class TakeSnapshot extends Gesture
{
    public function __construct(private readonly Snapshots $snapshots)
    {
    }

    public function rules(): array
    {
        return ['snapshot' => 'required|string|max:40'];
    }

    public function label(Asked $asked): string
    {
        return 'Go to a snapshot';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        return $this->snapshots->flat($asked->scene, $asked->text('snapshot'));
    }
}
