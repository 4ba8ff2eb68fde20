<?php

declare(strict_types=1);

namespace App\Render;

use App\Codecs\PictureEncoder;
use App\Models\Scene;
use App\Render\Pool\Dropped;
use App\Render\Pool\Priority;
use App\Render\Pool\Ticket;
use App\Scenes\FlatScene;
use App\Scenes\KeptPictures;
use Illuminate\Support\Str;

/** Scenes in small, as JPEG: for walls, shelves and comparisons. */
final readonly class SmallPictures
{
    /** Sides at most. */
    private const LARGEST = 480;

    private const QUALITY = 88;

    public function __construct(private RenderRequests $requests, private RenderService $renders, private PictureEncoder $encoder, private KeptPictures $kept)
    {
    }

    /** A scene as it stands, kept for whoever asks next; null when it was dropped. */
    public function of(Scene $scene): ?string
    {
        $known = $this->kept->current($scene);
        if ($known !== null) {
            return $known;
        }
        $jpeg = $this->rendered($scene, null);
        if ($jpeg !== null) {
            $this->kept->keep($scene, $jpeg);
        }

        return $jpeg;
    }

    /**
     * A scene as it would be; null when it was dropped.
     *
     * @param  FlatScene|null  $flat  null for as it stands
     */
    public function rendered(Scene $scene, ?FlatScene $flat): ?string
    {
        $scale = min(1, self::LARGEST / max($scene->width, $scene->height));
        $painted = $this->renders->render(
            $this->requests->of($scene, RenderRequest::PICTURE, null, $scale, flat: $flat),
            // everybody who asks gets it, once nobody waits for what is under the hand: nothing makes it needless
            new Ticket(Priority::Contribution, 'thumbnail '.Str::uuid(), 0),
        );

        return $painted instanceof Dropped ? null : $this->encoder->jpegOf($painted->bytes, $painted->columns, $painted->rows, self::QUALITY);
    }
}
