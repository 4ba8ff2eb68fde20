<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Takes;
use App\Http\Upload;
use App\Scenes\NamedShelf;
use App\Scenes\PictureLibrary;
use App\Scenes\TipShelf;
use Aumbrel\Core\Picture\PackedPicture;
use Aumbrel\Core\Stroke\TipGrid;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The shelf of brush tips that were made of pictures. */
final readonly class TipController
{
    public function __construct(private TipShelf $shelf, private PictureLibrary $library)
    {
    }

    /** The brush tips that are kept. */
    public function index(): JsonResponse
    {
        return new JsonResponse(['tips' => $this->shelf->all()]);
    }

    /** A picture that was taken in becomes a tip; it belongs to no scene, and goes when what nobody uses is swept. */
    #[Takes(file: true)]
    public function store(Request $request): JsonResponse
    {
        $file = Upload::of($request);
        $picture = PackedPicture::open($this->library->path($this->library->take($file->path, $file->name)->id));
        $this->shelf->keep(mb_substr($file->title(), 0, NamedShelf::LONGEST_NAME), TipGrid::ofPicture($picture));

        return $this->index();
    }

    /** Takes a tip out of the shelf. */
    public function destroy(string $tip): JsonResponse
    {
        $this->shelf->takeOut($tip);

        return $this->index();
    }
}
