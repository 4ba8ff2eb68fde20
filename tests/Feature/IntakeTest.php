<?php

declare(strict_types=1);

use App\Files\Folder as AnyFolder;
use App\Models\Picture;
use App\Render\Pool\Answer;
use App\Render\Pool\Priority;
use App\Render\Pool\TakeIn;
use App\Render\Pool\Ticket;
use App\Scenes\Intake;
use App\Scenes\PictureLibrary;
use Aumbrel\Core\Fault\Withdrawn;
use Tests\Support\Folder;
use Tests\Support\PictureFile;

afterEach(fn () => array_map(AnyFolder::remove(...), glob(config('aumbrel.temporary').'/intake-*') ?: []));

/** Sends bytes in parts of a size; gives the id. */
function sentIn(string $bytes, string $name = 'quay.png', int $part = 50): string
{
    $id = test()->postJson('/api/intakes', ['name' => $name, 'size' => strlen($bytes)])->assertCreated()->json('id');
    foreach (str_split($bytes, $part) as $at => $piece) {
        putPart($id, $at * $part, $piece)->assertOk();
    }

    return $id;
}

function putPart(string $id, int|string $from, string $bytes): Illuminate\Testing\TestResponse
{
    return test()->call('PUT', "/api/intakes/{$id}?from={$from}", [], [], [], ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/octet-stream'], $bytes);
}

/** @return list<array<string, mixed>> the lines that come of decoding */
function linesOfDecoding(string $id): array
{
    return array_map(fn (string $line): array => json_decode($line, true), array_filter(explode("\n", test()->post("/api/intakes/{$id}/read")->assertOk()->streamedContent())));
}

/** A picture that takes a while. */
function largePicture(): string
{
    $path = Folder::of('large').'/large.png';
    if (! is_file($path)) {
        $image = imagecreatetruecolor(3000, 2000);
        for ($k = 0; $k < 300; $k++) {
            imagefilledellipse($image, mt_rand(0, 3000), mt_rand(0, 2000), 200, 90, mt_rand(0, 0xFFFFFF));
        }
        imagepng($image, $path, 1);
    }

    return $path;
}

/** As if it had never been decoded, by whichever test. */
function forgetLargePicture(): void
{
    AnyFolder::remove(config('aumbrel.pictures').'/'.hash_file('sha256', largePicture()));
}

it('makes a scene and a plate of files that came part by part', function (): void {
    $bytes = file_get_contents(PictureFile::png(64, 40)->getPathname());
    $id = sentIn($bytes, 'low_tide.png');
    $lines = linesOfDecoding($id);
    expect(end($lines))->toBe(['done' => true])->and(Picture::query()->count())->toBe(0);
    $scene = $this->postJson('/api/scenes', ['intake' => $id])->assertCreated()->json();
    expect([$scene['title'], $scene['width'], $scene['height']])->toBe(['Low tide', 64, 40]);
    $other = sentIn(file_get_contents(PictureFile::png(30, 20)->getPathname()), 'hut.png');
    linesOfDecoding($other);
    expect($this->postJson("/api/scenes/{$scene['id']}/plates", ['intake' => $other, 'x' => 20, 'y' => 10])->assertCreated()->json('strips.1.name'))->toBe('Hut');
    $this->deleteJson("/api/intakes/{$id}")->assertNoContent();
    $this->postJson('/api/scenes', ['intake' => $id])->assertStatus(422)->assertJsonPath('field', 'file');
    $this->getJson("/api/intakes/{$id}")->assertNotFound();
    expect(glob(config('aumbrel.temporary')."/intake-{$id}"))->toBe([]);
});

it('takes a part once, in its place, and says how much has come', function (): void {
    $id = $this->postJson('/api/intakes', ['name' => 'a.png', 'size' => 10])->json('id');
    putPart($id, 0, 'abcd')->assertJsonPath('took', 4);
    // once more, and one that does not follow
    putPart($id, 0, 'abcd')->assertJsonPath('took', 4);
    putPart($id, 8, 'ij')->assertJsonPath('took', 4);
    $this->getJson("/api/intakes/{$id}")->assertJson(['took' => 4, 'part' => Intake::PART]);
    $this->post("/api/intakes/{$id}/read", [], ['Accept' => 'application/json'])->assertStatus(422);
    $this->postJson('/api/scenes', ['intake' => $id])->assertStatus(422)->assertJsonPath('message', 'a.png was not taken: it did not come in whole.');
    putPart($id, 4, 'efghijk')->assertStatus(422);
    putPart($id, 4, 'efghij')->assertJsonPath('took', 10);
    expect(Intake::find($id)->whole()->path)->toBeFile()->and(file_get_contents(Intake::find($id)->whole()->path))->toBe('abcdefghij');
});

it('takes no more than there is room for, and no names that lead elsewhere', function (): void {
    $this->postJson('/api/intakes', ['name' => 'a.png', 'size' => 0])->assertStatus(422)->assertJsonPath('message', 'a.png is empty (0 bytes).');
    $this->postJson('/api/intakes', ['name' => 'a.png', 'size' => Intake::LARGEST + 1])->assertStatus(422);
    $this->postJson('/api/intakes', ['name' => 'a.png'])->assertStatus(422);
    $id = $this->postJson('/api/intakes', ['name' => '../../etc/pass wd$(x).png', 'size' => 5])->assertCreated()->json('id');
    expect(Intake::find($id)->name())->toBe('pass wd_(x).png')->and(Intake::find('../'.$id))->toBeNull()->and(Intake::find(str_repeat('0', 32)))->toBeNull();
    putPart($id, 0, str_repeat('x', Intake::PART + 1))->assertStatus(413);
    putPart($id, 'x', 'x')->assertStatus(422);
    for ($k = 0; $k < 30; $k++) {
        $last = $this->postJson('/api/intakes', ['name' => "{$k}.png", 'size' => 5]);
    }
    $last->assertStatus(422)->assertJsonPath('message', fn (string $says): bool => str_starts_with($says, 'Too many files'));
    // those of which nothing has come for long hold up nobody
    foreach (glob(config('aumbrel.temporary').'/intake-*/bytes') as $file) {
        touch($file, time() - 3600);
    }
    $this->postJson('/api/intakes', ['name' => 'a.png', 'size' => 5])->assertCreated();
});

it('says what is wrong with a file, and leaves nothing behind', function (string $bytes, string $says): void {
    $id = sentIn($bytes, 'odd.png');
    $lines = linesOfDecoding($id);
    expect(end($lines))->toMatchArray(['status' => 422])->and(end($lines)['problem'])->toContain($says)
        ->and(glob(config('aumbrel.pictures').'/*.*'))->toBe([]);
})->with(['words' => ['only words, no picture', 'not a picture in PNG, JPEG'], 'a part of a picture' => [fn () => substr(file_get_contents(PictureFile::png(64, 40)->getPathname()), 0, 90), 'cut off']]);

it('decodes in a process of its own while the others render, tells how far it is, and ends when nobody waits', function (): void {
    $pool = pool();
    $folder = Folder::of('taking');
    $work = fn (string $name): TakeIn => new TakeIn(largePicture(), $name, "{$folder}/{$name}.progress");
    $ticket = fn (string $name): Ticket => new Ticket(Priority::Intake, "intake {$name}", 0);
    $waiting = $pool->errand($work('one.png')->pack(), $ticket('one'));
    $scene = asked(aScene());
    expect(whole($pool, [$scene], ticket(Priority::Draft, 'beside', 1)))->toBeInstanceOf(App\Render\PaintedReply::class);
    $answers = [];
    while (! $waiting->isOver()) {
        array_push($answers, ...$waiting->take(10));
    }
    expect($answers)->toBe([Answer::Took->value.'null'])->and((float) file_get_contents("{$folder}/one.png.progress"))->toBeGreaterThan(0.1)
        ->and(app(PictureLibrary::class)->prepare(largePicture(), 'one.png'))->toBeString();
    // another one, that nobody waits for any more
    forgetLargePicture();
    $waiting = $pool->errand($work('two.png')->pack(), $ticket('two'));
    for ($k = 0; $k < 200 && ! is_file("{$folder}/two.png.progress"); $k++) {
        usleep(10_000);
    }
    unset($waiting);
    [$stand] = idle($pool);
    expect($stand['withdrawn'])->toBeGreaterThan(0)->and(glob(config('aumbrel.pictures').'/'.hash_file('sha256', largePicture()).'*'))->toBe([]);
});

it('keeps nobody from rendering while it waits for its turn', function (): void {
    $pool = pool();
    $folder = Folder::of('queueing');
    forgetLargePicture();
    $request = asked(addSpot(aScene()), 20.0);
    $rows = $request->window()->rows;
    // more than are decoded at a time, so that some wait while miniatures are rendered
    $taking = array_map(fn (int $k) => $pool->errand((new TakeIn(largePicture(), "{$k}.png", "{$folder}/{$k}"))->pack(), new Ticket(Priority::Intake, "intake {$k}", 0)), range(1, 4));
    $waiting = $pool->begin($request->bands([intdiv($rows, 2), $rows - intdiv($rows, 2)]), ticket(Priority::Contribution, 'miniatures', 1));
    for ($k = 0, $stand = $pool->stand(); $k < 400 && $stand['busy'] < 4; $k++) {
        usleep(2_000);
        $stand = $pool->stand();
    }
    expect($stand['busy'])->toBe(4)->and($stand['waiting'])->toBeGreaterThan(0);
    expect(array_map(fn (?string $answer): string => $answer[0], all($waiting)))->each->toBe('P')->and($pool->stand()['withdrawn'])->toBe(0);
    foreach ($taking as $one) {
        expect(all($one))->toBe([Answer::Took->value.'null']);
    }
});

it('ends in the middle when it is told to', function (): void {
    forgetLargePicture();
    $folder = Folder::of('taking');
    $steps = 0;
    $step = function () use (&$steps): void {
        if (++$steps > 1) {
            throw new Withdrawn;
        }
    };
    expect(fn () => (new TakeIn(largePicture(), 'x.png', "{$folder}/x"))->done(app(PictureLibrary::class), $step, App\Http\ErrorReplies::words(...)))->toThrow(Withdrawn::class)
        ->and(glob(config('aumbrel.pictures').'/'.hash_file('sha256', largePicture()).'*'))->toBe([])->and($steps)->toBe(2);
});
