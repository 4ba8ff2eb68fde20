<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Render\Belonging;
use App\Scenes\FlatScene;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kind\Proposal;

/** What is ticked of what belongs to a source arrives as strips that hang on it, held in a group. */
final class TakeConsequence extends Gesture
{
    public function __construct(private readonly Belonging $belonging)
    {
    }

    public function rules(): array
    {
        return ['source' => 'required|string|max:40', 'ticked' => 'required|array|list|min:1|max:60', 'ticked.*' => 'string|max:80'];
    }

    public function label(Asked $asked): string
    {
        return 'Take what belongs to the source';
    }

    public function find(Asked $asked): mixed
    {
        return $this->belonging->of($asked->scene, $asked->text('source'));
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $found = $asked->found();
        $ticked = $asked->fields('ticked');
        $proposals = array_values(array_filter(is_array($found) ? $found : [], static fn (mixed $proposal): bool => $proposal instanceof Proposal && in_array($proposal->key, $ticked, true)));

        return $proposals === [] ? throw new SceneError('ticked', 'nothing of that belongs to this source any more') : Belonging::taken($scene, $asked->text('source'), $proposals);
    }
}
