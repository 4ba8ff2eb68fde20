<?php

declare(strict_types=1);

namespace App\Providers;

use App\Codecs\PictureDecoder;
use App\Database\Connector;
use App\Export\Exports;
use App\Http\Passphrase;
use App\Render\Painter;
use App\Render\PlateBoxes;
use App\Render\Pool\PoolClient;
use App\Scenes\Boxes;
use App\Scenes\GestureKey;
use App\Scenes\KeptPictures;
use App\Scenes\PictureLibrary;
use App\Scenes\SceneStore;
use Illuminate\Support\ServiceProvider;

final class AumbrelProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind('db.connector.sqlite', Connector::class);
        $this->app->singleton(GestureKey::class);
        $this->app->bind(Boxes::class, PlateBoxes::class);
        $this->app->bind(SceneStore::class, fn (): SceneStore => new SceneStore($this->app->make(GestureKey::class), fn (): Boxes => $this->app->make(Boxes::class)));
        $this->app->bind(Passphrase::class, fn (): Passphrase => new Passphrase((string) config('aumbrel.passphrase'), config()->string('app.key')));
        $this->app->singleton(PictureLibrary::class, fn (): PictureLibrary => new PictureLibrary(new PictureDecoder, config()->string('aumbrel.pictures')));
        $this->app->singleton(Painter::class, fn (): Painter => new Painter(config()->string('aumbrel.kernels'), config()->string('aumbrel.pictures'), config()->string('aumbrel.shapes')));
        $this->app->singleton(Exports::class, fn (): Exports => new Exports($this->app->make(SceneStore::class), config()->string('aumbrel.exports')));
        $this->app->singleton(KeptPictures::class, fn (): KeptPictures => new KeptPictures(config()->string('aumbrel.kept')));
        $this->app->singleton(PoolClient::class, fn (): PoolClient => new PoolClient(config()->string('aumbrel.socket')));
    }
}
