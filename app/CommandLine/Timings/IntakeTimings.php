<?php

declare(strict_types=1);

namespace App\CommandLine\Timings;

use App\Codecs\PictureDecoder;
use App\CommandLine\NamedScene;
use App\Files\Folder;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Picture\PackedPicture;
use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Scene\Scene;
use Imagick;

/** A photograph of 24 megapixels, from the file that has come to its first picture in the view. Seconds in one process. */
final class IntakeTimings
{
    private const COLUMNS = 6000;

    private const ROWS = 4000;

    private const VIEW = 0.16;

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $folder = sys_get_temp_dir().'/aumbrel-timings-intake-'.getmypid();
        @mkdir($folder, 0o700);
        try {
            $image = new Imagick(NamedScene::root().'/demo/night-market/boardwalk.jpg');
            $image->resizeImage(self::COLUMNS, self::ROWS, Imagick::FILTER_CATROM, 1);
            $image->setImageFormat('jpeg');
            $image->setImageCompressionQuality(92);
            $image->writeImage("{$folder}/photograph.jpg");
            $image->clear();
            $decoded = Stopwatch::once(static fn () => (new PictureDecoder)->decode("{$folder}/photograph.jpg", 'photograph.jpg', "{$folder}/packed"));
            $shown = Stopwatch::once(fn () => $this->show(PackedPicture::open("{$folder}/packed"), "{$folder}/kernels"));

            return ['megapixels' => self::COLUMNS * self::ROWS / 1e6, 'unit' => 's', 'decoded' => round($decoded / 1000, 2), 'firstPicture' => round(($decoded + $shown) / 1000, 2)];
        } finally {
            Folder::remove($folder);
        }
    }

    private function show(PictureSource $picture, string $kernels): void
    {
        $shelf = new class($picture) implements PictureShelf
        {
            public function __construct(private PictureSource $picture)
            {
            }

            public function picture(string $name): PictureSource
            {
                return $this->picture;
            }
        };
        $scene = Scene::read(['aumbrel' => Scene::VERSION, 'title' => 'Photograph', 'size' => [self::COLUMNS, self::ROWS], 'strips' => [['id' => 'plate', 'kind' => 'plate', 'values' => ['picture' => 'photograph']]]], Registry::kinds());
        (new Renderer(new KernelStore($kernels), $shelf))->picture($scene, Window::whole(self::COLUMNS, self::ROWS, self::VIEW));
    }
}
