<?php

declare(strict_types=1);

use App\Codecs\UnreadablePicture;
use App\Faults\DatabaseBusy;
use App\Faults\DatabaseFailed;
use App\Faults\DatabaseFault;
use App\Faults\DiskFull;
use App\Faults\ExportStopped;
use App\Faults\Fault;
use App\Faults\NotPossible;
use App\Faults\RenderStopped;
use App\Http\ErrorReplies;
use App\Scenes\NoPackedScene;
use App\Scenes\SceneChanged;
use App\Scenes\StripChanged;
use Aumbrel\Core\Fault\NotKept;
use Aumbrel\Core\Fault\PictureLost;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Fault\Withdrawn;
use Illuminate\Session\TokenMismatchException;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/* What people are told when something goes wrong: a sentence for each failure, and nothing of the inside. */

it('words every failure', function (Throwable $error, int $status, string $says, array $more = []): void {
    $words = ErrorReplies::words($error);
    expect($words['status'])->toBe($status)->and($words['message'])->toContain($says)->and(array_intersect_key($words, $more))->toBe($more);
})->with([
    'a value out of range' => [fn () => SceneError::expected('strips[1].level', 'a number from -6 to 6 stops', 9), 422, 'strips[1].level: expected a number from -6 to 6 stops, found 9', ['field' => 'strips[1].level']],
    'a value that does not go with another' => [fn () => new SceneError('values.field', 'the field angle is 1.05 to 3 times the beam angle, not 4 times'), 422, 'The field angle is 1.05 to 3 times the beam angle, not 4 times.', ['field' => 'values.field']],
    'something that cannot be done' => [fn () => new NotPossible('strip', 'This strip is no plate.'), 422, 'This strip is no plate.', ['field' => 'strip']],
    'a file that is no picture' => [fn () => new UnreadablePicture('x.png is empty (0 bytes).'), 422, 'x.png is empty', ['field' => 'file']],
    'a ZIP that is no scene' => [fn () => new NoPackedScene('holds no scene.json'), 422, 'The file holds no scene.json.', ['field' => 'file']],
    'a strip that is newer' => [fn () => new StripChanged('abc', 'Lamp'), 409, '"Lamp" was changed in another window', ['strip' => 'abc']],
    'a scene that is newer' => [fn () => new SceneChanged, 409, 'changed in another window'],
    'a full disk' => [fn () => DiskFull::writing('The change'), 507, 'The change could not be written: the disk seems to be full.'],
    'a core that cannot keep something' => [fn () => new NotKept('a kernel'), 507, 'A kernel could not be written: the disk seems to be full.'],
    'a held database' => [fn () => new PDOException('SQLSTATE[HY000]: General error: 5 database is locked'), 503, 'Another process holds the database.'],
    'a full database' => [fn () => new PDOException('SQLSTATE[HY000]: General error: 13 database or disk is full'), 507, 'the disk seems to be full'],
    'a broken database' => [fn () => new PDOException('SQLSTATE[HY000]: General error: 11 database disk image is malformed'), 503, 'The database cannot be used at the moment.'],
    'lost rows' => [fn () => new PictureLost('/somewhere/deep'), 500, 'Bring the picture in again.'],
    'a lost process' => [fn () => RenderStopped::early(), 503, 'ended before its time'],
    'what is gone' => [fn () => new NotFoundHttpException('No query results for model [App\Models\Scene]'), 404, 'That is not here any more.'],
    'an old page' => [fn () => new TokenMismatchException, 419, 'open for too long'],
    'an old page, as the framework says it' => [fn () => new HttpException(419), 419, 'open for too long'],
    'another refusal' => [fn () => new HttpException(413, 'Too large.'), 413, 'Too large.'],
    'a fault of its own' => [fn () => new TypeError('App\X::y(): Argument #3 must be of type array'), 500, 'Aumbrel met a fault of its own'],
]);

it('shows nothing of the inside', function (Throwable $error): void {
    $message = ErrorReplies::words($error)['message'];
    expect($message)->not->toMatch('/SQLSTATE|App\\\\|Argument|\.php|#\d|\/somewhere|select |insert /i')->toMatch('/^[A-Z"]/')->toEndWith('.');
})->with([
    fn () => new PDOException('SQLSTATE[HY000]: General error: 1 no such table: scenes (Connection: sqlite, SQL: select * from "scenes")'), fn () => new TypeError('App\X::y(): Argument #3'),
    fn () => new LogicException('stroke 123 is missing in /srv/app/Scenes/StrokeShelf.php'), fn () => new PictureLost('/somewhere/deep'), fn () => new Withdrawn,
]);

it('has faults whose status tells whether to try again', function (): void {
    foreach ([[DiskFull::writing('x'), 507], [DatabaseBusy::waited(), 503], [DatabaseFailed::because(new Exception('x')), 503], [RenderStopped::early(), 503], [ExportStopped::interrupted(), 500]] as [$fault, $status]) {
        expect($fault)->toBeInstanceOf(Fault::class)->and($fault->status())->toBe($status)->and($fault->getMessage())->toEndWith('.');
    }
    // what was said first is kept for the log
    $first = new PDOException('database is locked');
    expect(DatabaseFault::of($first)->getPrevious())->toBe($first);
});

it('says in a refused edit what is wrong, in the words of a person', function (array $change, string $says): void {
    $scene = addSpot(aScene());
    change($scene, 1, $change)->assertStatus(422)->assertJsonPath('message', fn (string $message): bool => str_contains($message, $says));
    // and nothing of it was written
    expect($this->getJson("/api/scenes/{$scene['id']}")->json('revision'))->toBe($scene['revision']);
})->with([
    [['level' => 7], 'a number from -6 to 6 stops'], [['values' => ['beam' => 500]], 'a number from'], [['values' => ['beam' => 10, 'field' => 100]], 'The field angle is 1.05 to 3 times the beam angle'],
    [['mode' => 'brighter'], 'a blend mode'], [['values' => ['colour' => ['kelvin' => 1]]], 'kelvin'], [['values' => ['origin' => 'left']], 'a point'], [['confinedTo' => 'nobody'], 'no plate of this scene'],
    [['masks' => ['none' => ['off' => true]]], 'There is no mask "none" on this strip'], [['masks' => ['none' => 7]], 'must be an array'],
]);
