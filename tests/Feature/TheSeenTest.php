<?php

declare(strict_types=1);

use Aumbrel\Core\Blend\BlendMode;
use Illuminate\Cache\Events\KeyWritten;
use Illuminate\Support\Facades\Event;
use Tests\Support\PictureFile;

/* Lights that are seen, asked for over the API; helpers stand in SourcesTest. */

/** A new strip of a kind over the backdrop. */
function withKind(array $scene, string $kind, array $more = []): array
{
    return gestured($scene, 'add-strip', ['kind' => $kind, 'centre' => [48, 32], 'span' => 64, 'above' => null, ...$more]);
}

it('adds a line of light with a line to drag, and says of each light whether what is drawn of it shines', function (): void {
    $scene = withKind(withKind(litScene(), 'glow'), 'line');
    [, , $glow, $line] = $scene['strips'];
    expect($glow['shines'])->toBeFalse()->and($glow['outlines']['lamp'])->toHaveCount(1)->and($line['shines'])->toBeTrue()->and($line['masks'])->toHaveCount(1)
        ->and($line['masks'][0])->toMatchArray(['kind' => 'outline', 'on' => 'emitter', 'problem' => null]);
    $scene = gestured($scene, 'change-strip', ['strip' => $glow['id'], 'revision' => $glow['revision'], 'values' => ['from' => 'what is drawn']]);
    expect($scene['strips'][2]['shines'])->toBeTrue();
    expect(array_column($scene['readings'], 'seen'))->toContain("{$glow['name']}: Nothing is drawn yet that could shine: paint it, outline it or click an area under Shines.");
    // mirrored with the rest
    $at = $line['masks'][0]['values']['path'][0]['at'];
    $scene = gestured($scene, 'mirror-strip', ['strip' => $line['id'], 'revision' => $line['revision'], 'line' => [[48, 0], [48, 64]]]);
    expect($scene['strips'][3]['masks'][0]['values']['path'][0]['at'][0])->toEqualWithDelta(96 - $at[0], 0.1);
    // what shines is no falloff of a light that shines by nothing
    $wash = withKind($scene, 'wash')['strips'][4];
    test()->postJson("/api/scenes/{$scene['id']}/gestures/add-mask", ['strip' => $wash['id'], 'kind' => 'strokes', 'on' => 'emitter', 'centre' => [0, 0], 'span' => 10])->assertStatus(422);
});

it('brings a picture that becomes no plate, and takes only names that the scene has', function (): void {
    $scene = litScene();
    $name = test()->postJson("/api/scenes/{$scene['id']}/pictures", ['file' => PictureFile::drawn('stray', 12, 8, static fn (int $x): array => [20 * $x, 10, 0, 1.0])])->assertCreated()->json('name');
    expect($name)->toBe('stray.png')->and(test()->getJson("/api/scenes/{$scene['id']}")->json()['strips'])->toHaveCount(2);
    $scene = withKind($scene, 'leak');
    $leak = $scene['strips'][2];
    $change = static fn (string $picture): array => ['strip' => $leak['id'], 'revision' => $leak['revision'], 'values' => ['texture' => 'a picture', 'picture' => $picture]];
    test()->postJson("/api/scenes/{$scene['id']}/gestures/change-strip", $change('other.png'))->assertStatus(422)->assertJsonPath('field', 'values.picture');
    test()->postJson("/api/scenes/{$scene['id']}/gestures/change-strip", $change('../secret'))->assertStatus(422);
    $scene = gestured($scene, 'change-strip', $change('stray.png'));
    expect($scene['pictures'])->toHaveKey('stray.png');
    // it travels with the scene: packed, and stored anew
    $packed = test()->get("/api/scenes/{$scene['id']}/packed")->assertOk()->streamedContent();
    $zip = Tests\Support\Folder::of('files').'/with-leak.zip';
    file_put_contents($zip, $packed);
    $again = test()->post('/api/scenes', ['file' => new Illuminate\Http\UploadedFile($zip, 'with-leak.zip', test: true)], ['Accept' => 'application/json'])->assertCreated()->json();
    expect($again['pictures'])->toHaveKey('stray.png')->and($again['strips'][2]['values']['picture'])->toBe('stray.png');
    // a scene file without it is refused, and nothing is taken in
    test()->postJson("/api/scenes/{$scene['id']}/pictures", [])->assertStatus(422);
    test()->postJson("/api/scenes/{$scene['id']}/pictures", ['file' => Illuminate\Http\UploadedFile::fake()->createWithContent('stray.png', 'no picture at all')])->assertStatus(422);
});

it('measures a state of a scene once: undo and redo come back to what was measured', function (): void {
    $measured = [];
    Event::listen(KeyWritten::class, static function (KeyWritten $event) use (&$measured): void {
        if (str_starts_with($event->key, 'facts ')) {
            $measured[] = $event->key;
        }
    });
    $scene = withKind(litScene(), 'haze');
    $at = "/api/scenes/{$scene['id']}";
    $noticed = static fn (): array => test()->postJson("{$at}/readings")->assertOk()->json('readings');
    $hazy = $noticed();
    $scene = gestured($scene, 'change-strip', ['strip' => $scene['strips'][2]['id'], 'revision' => $scene['strips'][2]['revision'], 'amount' => 20]);
    $clearer = $noticed();
    expect($measured)->toHaveCount(2);
    foreach ([['undo', $hazy], ['redo', $clearer], ['undo', $hazy]] as [$way, $wanted]) {
        test()->postJson("{$at}/{$way}")->assertOk();
        expect($noticed())->toBe($wanted);
    }
    expect($measured)->toHaveCount(2);
    // what was not seen before is measured
    gestured(test()->getJson($at)->json(), 'change-strip', ['strip' => $scene['strips'][0]['id'], 'revision' => $scene['strips'][0]['revision'], 'amount' => 50]);
    $noticed();
    expect($measured)->toHaveCount(3);
});

it('shows a strip under every mode that goes with its values', function (): void {
    $scene = withKind(litScene(), 'glow');
    $asked = ['view' => 'v', 'number' => 1, 'draft' => false, 'window' => [0, 0, 96, 64], 'scale' => 0.5, 'alone' => $scene['strips'][2]['id']];
    $frame = framesOf(test()->postJson("/api/scenes/{$scene['id']}/modes", $asked)->assertOk()->getContent())[0];
    expect($frame['head']['strips'])->toHaveCount(count(BlendMode::cases()))->toContain('airlight', 'kindle', 'luminosity');
    $size = 48 * 32 * 4;
    $of = static fn (string $mode): string => substr($frame['pixels'], $size * (int) array_search($mode, $frame['head']['strips'], true), $size);
    $as = static function (string $mode) use ($scene): string {
        return unframed(look($scene, ['window' => [0, 0, 96, 64], 'scale' => 0.5, 'changes' => [$scene['strips'][2]['id'] => ['mode' => $mode]]])->assertOk()->getContent())['pixels'];
    };
    expect($of('airlight'))->toBe($as('airlight'))->and($of('multiply'))->toBe($as('multiply'))->and($of('color'))->toBe($as('color'))->and($of('color') === $of('multiply'))->toBeFalse();
    // an inverse-square light without a size goes with linear modes only
    $spot = withKind(litScene(), 'spot');
    $id = $spot['strips'][2]['id'];
    $frame = framesOf(test()->postJson("/api/scenes/{$spot['id']}/modes", [...$asked, 'alone' => $id, 'changes' => [$id => ['values' => ['reachLaw' => 'inverse square', 'size' => 0]]]])->assertOk()->getContent())[0];
    expect($frame['head']['strips'])->toBe(['illuminate', 'airlight']);
    test()->postJson("/api/scenes/{$scene['id']}/modes", [...$asked, 'scale' => 'NaN'])->assertStatus(422);
});

it('shows what a strip alone adds, brightened by a factor that it says, in colour and in greys', function (): void {
    $scene = withKind(litScene(), 'glow');
    $glow = $scene['strips'][2];
    $scene = gestured($scene, 'change-strip', ['strip' => $glow['id'], 'revision' => $glow['revision'], 'level' => -5, 'values' => ['centre' => [20, 30], 'size' => 6]]);
    $look = static fn (array $more): array => framesOf(look($scene, ['window' => [0, 0, 96, 64], 'alone' => $glow['id'], ...$more])->assertOk()->getContent())[0];
    $alone = $look([]);
    expect($alone['head']['factors'][0])->toBeGreaterThan(1.4);
    $pixel = static fn (array $frame, int $x, int $y): array => array_values(unpack('C4', substr($frame['pixels'], 4 * (96 * $y + $x), 4)));
    // what it adds by itself, times the factor: as the command line renders it, which brightens nothing
    $painter = new Aumbrel\Core\Render\Renderer(new Aumbrel\Core\Kernel\KernelStore(config('aumbrel.kernels')), tap(new App\Render\StoredPictures(config('aumbrel.pictures')))->showing(app(App\Scenes\SceneStore::class)->pictureIds($stored = App\Models\Scene::query()->findOrFail($scene['id']))));
    $plain = $painter->contributions(app(App\Scenes\SceneStore::class)->whole($stored), Aumbrel\Core\Geometry\Window::whole(96, 64), [$glow['id']])[$glow['id']]->bytes;
    $plain = array_values(unpack('C4', substr($plain, 4 * (96 * 30 + 20), 4)));
    foreach ([0, 1, 2] as $channel) {
        expect($pixel($alone, 20, 30)[$channel])->toEqualWithDelta(min(255, $plain[$channel] * $alone['head']['factors'][0]), 1);
    }
    // and so is the small picture of each strip, each by a factor of its own: the ground is bright enough as it is
    $small = framesOf(test()->postJson("/api/scenes/{$scene['id']}/contributions")->assertOk()->getContent())[0];
    expect($small['head']['factors'])->toHaveCount(3)->and($small['head']['factors'][0])->toBeLessThan(1.5)->and($small['head']['factors'][2])->toBe($alone['head']['factors'][0])
        ->and(substr($small['pixels'], 2 * 96 * 64 * 4))->toBe($alone['pixels']);
    [$r, $g, $b] = $pixel($look(['as' => 'values']), 20, 30);
    expect($r)->toBe($g)->toBe($b)->toBeGreaterThan(60)->and($pixel($alone, 90, 5)[0])->toBeLessThan(40);
    expect(look($scene, ['window' => [0, 0, 96, 64], 'as' => 'upside down'])->getStatusCode())->toBe(422)
        ->and(look($scene, ['window' => [0, 0, 96, 64], 'alone' => 'nobody'])->getStatusCode())->toBe(422);
});

it('reads the lights in the picture, and a mend is one step that is undone in one', function (): void {
    $scene = withKind(litScene(), 'spot');
    $spot = $scene['strips'][2];
    $scene = gestured($scene, 'change-strip', ['strip' => $spot['id'], 'revision' => $spot['revision'], 'level' => -6, 'mode' => 'illuminate', 'values' => ['origin' => [90, 2], 'target' => [80, 10], 'reach' => 10]]);
    $read = static fn (): array => array_values(array_filter(test()->postJson("/api/scenes/{$scene['id']}/readings")->assertOk()->json('readings'), static fn (array $reading): bool => ! $reading['hint']));
    $readings = $read();
    expect(array_column($readings, 'id'))->toBe(["unseen {$spot['id']}"]);
    expect($readings[0]['mends'][0])->toMatchArray(['key' => 'brighter', 'fields' => ['level' => -3]]);
    $mended = gestured($scene, 'mend', ['reading' => "unseen {$spot['id']}", 'mend' => 'brighter', 'revision' => $scene['strips'][2]['revision']]);
    expect($mended['strips'][2]['level'])->toEqual(-3);
    expect(test()->postJson("/api/scenes/{$scene['id']}/undo", [])->assertOk()->json()['strips'][2]['level'])->toEqual(-6);
    // accepted, it is not said again
    $scene = gestured($scene, 'mend', ['reading' => "unseen {$spot['id']}", 'mend' => 'accept']);
    expect($read())->toBe([]);
    test()->postJson("/api/scenes/{$scene['id']}/gestures/mend", ['reading' => 'veil nobody', 'mend' => 'hold black'])->assertStatus(422);
});

it('lets a sun strip show nothing while its source stands on the viewer\'s side, and says so', function (): void {
    $scene = gestured(litScene(), 'place-source', ['kind' => 'sun', 'at' => [70, 12], 'id' => 'sun']);
    $scene = withKind($scene, 'sun');
    $sun = $scene['strips'][2];
    expect($sun['source'])->toBe('sun')->and($sun['inForce']['centre'])->toEqualWithDelta([70, 12], 0.5);
    $lit = pictureNow($scene);
    $bare = pictureNow($scene, ['changes' => [$sun['id'] => ['muted' => true]]]);
    expect($lit === $bare)->toBeFalse();
    $scene = gestured($scene, 'change-strip', ['strip' => 'source:sun', 'revision' => $scene['stageRevision'], 'turn' => ['azimuth' => 60, 'elevation' => 40]]);
    expect(implode(' ', array_column($scene['readings'], 'seen')))->toContain('stands on your side of the picture');
    expect(pictureNow($scene))->toBe(pictureNow($scene, ['changes' => [$sun['id'] => ['muted' => true]]]));
});
