<?php

declare(strict_types=1);

use App\Http\Controllers\ApiController;
use App\Http\Controllers\ColourController;
use App\Http\Controllers\ConsequenceController;
use App\Http\Controllers\ExportController;
use App\Http\Controllers\GestureController;
use App\Http\Controllers\HealthController;
use App\Http\Controllers\HistoryController;
use App\Http\Controllers\IntakeController;
use App\Http\Controllers\OwnLightController;
use App\Http\Controllers\PassphraseController;
use App\Http\Controllers\PictureController;
use App\Http\Controllers\PlateController;
use App\Http\Controllers\RampController;
use App\Http\Controllers\ReadingController;
use App\Http\Controllers\RigController;
use App\Http\Controllers\SceneController;
use App\Http\Controllers\ScopeController;
use App\Http\Controllers\SnapshotController;
use App\Http\Controllers\SphereController;
use App\Http\Controllers\TipController;
use App\Http\Controllers\TokenController;
use App\Http\Middleware\ChecksFields;
use App\Http\Middleware\ForgeryOrToken;
use App\Http\Middleware\PageSession;
use Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;
use Illuminate\View\Middleware\ShareErrorsFromSession;

Route::get('/passphrase', [PassphraseController::class, 'ask']);
Route::post('/passphrase', [PassphraseController::class, 'tell']);

Route::middleware(PageSession::class)->group(function (): void {
    Route::view('/', 'app');
    Route::get('/api', [ApiController::class, 'page']);
    Route::view('/scenes/{scene}', 'app')->where('scene', '[0-9a-z]{26}');
});

// for what changes nothing and is asked for often
$withoutSession = [EncryptCookies::class, AddQueuedCookiesToResponse::class, StartSession::class, ShareErrorsFromSession::class, ForgeryOrToken::class];

Route::prefix('api')->middleware(ChecksFields::class)->group(function () use ($withoutSession): void {
    Route::get('scenes', [SceneController::class, 'index']);
    Route::post('scenes', [SceneController::class, 'store']);
    Route::post('scenes/lay', [SceneController::class, 'lay']);
    Route::get('storage', [SceneController::class, 'storage']);
    Route::get('ramps', [RampController::class, 'index']);
    Route::post('ramps', [RampController::class, 'store']);
    Route::delete('ramps/{ramp}', [RampController::class, 'destroy'])->where('ramp', '[0-9a-z]{26}');
    Route::get('tips', [TipController::class, 'index']);
    Route::post('tips', [TipController::class, 'store']);
    Route::delete('tips/{tip}', [TipController::class, 'destroy'])->where('tip', '[0-9a-z]{26}');
    Route::get('openapi.json', [ApiController::class, 'document']);
    Route::get('tokens', [TokenController::class, 'index']);
    Route::post('tokens', [TokenController::class, 'store']);
    Route::delete('tokens/{token}', [TokenController::class, 'destroy'])->where('token', '[0-9a-z]{26}');
    Route::get('rigs', [RigController::class, 'index']);
    Route::post('rigs', [RigController::class, 'store']);
    Route::prefix('rigs/{rig}')->where(['rig' => '[0-9a-z]{26}'])->group(function (): void {
        Route::delete('', [RigController::class, 'destroy']);
        Route::get('picture', [RigController::class, 'picture']);
        Route::get('file', [RigController::class, 'file']);
        Route::post('over', [RigController::class, 'over']);
    });
    Route::get('exports', [ExportController::class, 'latest']);
    Route::post('intakes', [IntakeController::class, 'begin']);
    Route::prefix('intakes/{intake}')->where(['intake' => '[0-9a-f]{32}'])->group(function (): void {
        Route::get('', [IntakeController::class, 'show']);
        Route::put('', [IntakeController::class, 'put']);
        Route::delete('', [IntakeController::class, 'drop']);
        Route::post('read', [IntakeController::class, 'read']);
    });
    // gives a page that has been open for long its token anew
    Route::get('health', HealthController::class);
    Route::get('sphere', SphereController::class)->withoutMiddleware($withoutSession);

    Route::prefix('scenes/{scene}')->where(['scene' => '[0-9a-z]{26}'])->group(function () use ($withoutSession): void {
        Route::get('', [SceneController::class, 'show']);
        Route::get('revision', [SceneController::class, 'revision'])->withoutMiddleware($withoutSession);
        Route::delete('', [SceneController::class, 'destroy']);
        Route::post('duplicate', [SceneController::class, 'duplicate']);
        Route::post('restore', [SceneController::class, 'restore']);
        Route::get('file', [SceneController::class, 'file']);
        Route::get('packed', [SceneController::class, 'packed']);
        Route::get('thumbnail', [PictureController::class, 'thumbnail']);
        // these two change nothing; a drag asks for dozens a second, so they do without session and token
        Route::withoutMiddleware($withoutSession)->group(function (): void {
            Route::post('picture', [PictureController::class, 'picture']);
            Route::post('modes', [PictureController::class, 'modes']);
            Route::post('readings', ReadingController::class);
            Route::post('masks', [PictureController::class, 'masks']);
            Route::post('contributions', [PictureController::class, 'contributions']);
            Route::post('colour', ColourController::class);
            Route::post('tones', [ScopeController::class, 'tones']);
            Route::post('hues', [ScopeController::class, 'hues']);
            Route::post('colours', [ScopeController::class, 'colours']);
            Route::post('scopes', [ScopeController::class, 'counts']);
            Route::post('values', [ScopeController::class, 'values']);
            Route::post('likeness', [ScopeController::class, 'likeness']);
            Route::post('plates-at', [PlateController::class, 'at']);
            Route::post('plates/{strip}/edge', [PlateController::class, 'edge']);
            Route::post('sources/{source}/consequence', ConsequenceController::class)->where('source', '[A-Za-z0-9_-]{1,40}');
        });
        Route::post('undo', [HistoryController::class, 'undo']);
        Route::post('redo', [HistoryController::class, 'redo']);

        Route::post('rigs', [RigController::class, 'keep']);
        Route::post('plates', [PlateController::class, 'add']);
        Route::post('pictures', [PlateController::class, 'bring']);
        Route::get('plates/{strip}/pieces', [PlateController::class, 'pieces']);
        Route::get('plates/{strip}/own-light', OwnLightController::class);
        Route::get('plates/{strip}/outline', [PlateController::class, 'outline']);
        Route::post('gestures/{gesture}', GestureController::class)->where('gesture', '[a-z-]{1,40}');

        Route::post('snapshots', [SnapshotController::class, 'keep']);
        Route::patch('snapshots/{snapshot}', [SnapshotController::class, 'rename']);
        Route::delete('snapshots/{snapshot}', [SnapshotController::class, 'throwAway']);
        Route::post('snapshots/{snapshot}/restore', [SnapshotController::class, 'bringBack']);

        Route::get('exports', [ExportController::class, 'index']);
        Route::post('exports', [ExportController::class, 'store']);
        Route::delete('exports/{export}', [ExportController::class, 'cancel']);
        Route::get('exports/{export}/file', [ExportController::class, 'file']);
    });
});
