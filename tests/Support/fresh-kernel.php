<?php

declare(strict_types=1);

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Scene\Scene;

// Renders a spot with kernels that did not exist when the process started; says what opcache made of them.

require dirname(__DIR__, 2).'/vendor/autoload.php';

sleep(1);
$scene = Scene::read(['aumbrel' => 1, 'title' => 'Fresh', 'size' => [400, 200], 'strips' => [['id' => 's', 'kind' => 'spot', 'values' => ['origin' => [200, 10], 'target' => [200, 150], 'reach' => 500]]]], Registry::kinds());
$renderer = new Renderer(new KernelStore($argv[1]), new class implements PictureShelf
{
    public function picture(string $name): PictureSource
    {
        throw new LogicException;
    }
});
$before = opcache_get_status(false)['jit'];
$renderer->picture($scene, Window::whole(400, 200));
$after = opcache_get_status(false)['jit'];
$files = glob("{$argv[1]}/*.php");
echo json_encode([
    'jit' => $after['on'],
    'cached' => $files !== [] && array_filter($files, fn (string $file): bool => ! opcache_is_script_cached($file)) === [],
    'compiledBytes' => $before['buffer_free'] - $after['buffer_free'],
]);
