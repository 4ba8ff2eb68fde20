<?php

declare(strict_types=1);

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Reading\Mend;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Reading\Readings;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Tests\Support\Rendering;

function bearing(float $azimuth, float $elevation, float $spread = 5): array
{
    return ['by' => 'outline', 'azimuth' => $azimuth, 'elevation' => $elevation, 'spread' => $spread, 'confidence' => 0.8];
}

function readings(Scene $scene): Readings
{
    return new Readings($scene, new Pictures(['b' => [400, 300], 'p' => [80, 100]]));
}

/** A place lit from the right, a subject at 200, 150 and what is asked for. */
function matched(array $subject, array $more = [], array $scene = []): Scene
{
    return Scene::read(['aumbrel' => 1, 'title' => 'T', 'size' => [400, 300], ...$scene, 'strips' => [
        ['id' => 'place', 'name' => 'Pier', ...Rendering::plate('b', ['values' => ['bearing' => bearing(20, 10)]])],
        ['id' => 'subject', 'name' => 'Heron', ...Rendering::plate('p', ['values' => ['pivot' => [40, 50], 'place' => [200, 150], ...$subject]])],
        ...$more,
    ]], Registry::kinds());
}

it('says which two disagree, by how much and how sure, and offers mends', function (): void {
    $readings = readings(matched(['bearing' => bearing(160, 10, 9)]))->all();
    expect($readings)->toHaveCount(1)->and($readings[0]->strips)->toBe(['place', 'subject'])
        ->and($readings[0]->number)->toEqualWithDelta((new Bearing(20, 10))->angleTo(new Bearing(160, 10)), 0.1)
        ->and($readings[0]->seen)->toContain('Pier and Heron disagree by 135°, give or take 14°')->toContain('Heron is lit from the left')
        ->and($readings[0]->why)->toContain('80 %')->and(array_map(fn (Mend $mend): string => $mend->key, $readings[0]->mends))->toBe(['mirror', 'accept']);
});

it('is quiet within thirty degrees and both spreads', function (float $azimuth, float $spread, int $count): void {
    expect(readings(matched(['bearing' => bearing($azimuth, 10, $spread)]))->all())->toHaveCount($count);
})->with([[20.0, 5.0, 0], [55.0, 5.0, 0], [65.0, 5.0, 1], [65.0, 15.0, 0], [120.0, 30.0, 1]]);

it('mirrors the estimate with its plate: it is not made again', function (): void {
    $scene = matched(['bearing' => bearing(160, 10), 'turn' => 12]);
    $mend = readings($scene)->all()[0]->mends[0];
    expect($mend->strip)->toBe('subject')->and($mend->values)->toBe(['mirrored' => true, 'turn' => -12.0]);
    $after = matched(['bearing' => bearing(160, 10), ...$mend->values]);
    // 160 mirrored is 20, turned by -12 is 8; before it was turned to 172
    expect(readings($after)->compass->sights[1]->bearing->azimuth)->toEqualWithDelta(8, 1e-9)->and(readings($after)->all())->toBe([])
        ->and($after->strips[1]->kind->found()->bearing->azimuth)->toBe(160.0);
});

it('does not offer to mirror where it would not help', function (): void {
    expect(array_map(fn (Mend $mend): string => $mend->key, readings(matched(['bearing' => bearing(-90, 0)]))->all()[0]->mends))->toBe(['accept']);
});

it('leaves out what is accepted', function (): void {
    $id = readings(matched(['bearing' => bearing(160, 10)]))->all()[0]->id;
    $scene = matched(['bearing' => bearing(160, 10)], scene: ['accepted' => [$id]]);
    expect(readings($scene)->all())->toBe([])->and(Scene::fromJson($scene->toJson(), Registry::kinds())->accepted)->toBe([$id]);
});

it('sees a light from the plate that it lights', function (): void {
    $spot = fn (array $more): array => ['id' => 'lamp', 'name' => 'Lamp', 'kind' => 'spot', ...$more, 'values' => ['origin' => [100, 150], 'target' => [205, 160], ...($more['values'] ?? [])]];
    $sight = fn (array $more) => readings(matched(['bearing' => bearing(20, 10)], [$spot($more)]))->compass->sights[2];
    // its origin is straight to the left of the subject's middle
    expect($sight([])->of)->toBe('subject')->and($sight([])->bearing->azimuth)->toEqualWithDelta(180, 1e-6)->and($sight(['values' => ['elevation' => 40]])->bearing->elevation)->toBe(40.0)
        ->and($sight(['confinedTo' => 'subject', 'values' => ['target' => [10, 10]]])->of)->toBe('subject')
        // over the place it is seen from where it aims
        ->and($sight(['values' => ['target' => [100, 290]]])->bearing->azimuth)->toEqualWithDelta(90, 1e-6)->and($sight(['values' => ['target' => [100, 290]]])->of)->toBe('place');
});

it('lets a light in a closed group fall on what that group holds alone', function (): void {
    $spot = fn (array $more): array => ['id' => 'lamp', 'name' => 'Lamp', 'kind' => 'spot', ...$more, 'values' => ['origin' => [100, 150], 'target' => [205, 160]]];
    $within = fn (bool $closed, array $held) => readings(matched(['bearing' => bearing(20, 10)], [['id' => 'g', 'name' => 'G', 'kind' => 'group', 'closed' => $closed, 'strips' => $held]]))->compass;
    $seenFrom = fn (bool $closed, array $more = []) => $within($closed, [$spot($more)])->sight('lamp')->of;
    // an open group is as if it were not there; a closed one hides what lies below it, whether the plate is aimed at or named
    expect($seenFrom(false))->toBe('subject')->and($seenFrom(true))->toBeNull()
        ->and($seenFrom(false, ['confinedTo' => 'subject']))->toBe('subject')->and($seenFrom(true, ['confinedTo' => 'subject']))->toBeNull()
        ->and(array_map(fn ($pair): string => $pair->other->strip, $within(true, [$spot([])])->pairs))->toBe(['subject'])
        ->and(array_map(fn ($pair): string => $pair->other->strip, $within(false, [$spot([])])->pairs))->toBe(['subject', 'lamp']);
    // a plate of its own is lit, also through an open group around the light
    $own = ['id' => 'own', 'name' => 'Own', ...Rendering::plate('p', ['values' => ['pivot' => [40, 50], 'place' => [210, 150], 'bearing' => bearing(40, 10)]])];
    expect($within(true, [$own, ['id' => 'h', 'name' => 'H', 'kind' => 'group', 'strips' => [$spot([])]]])->sight('lamp')->of)->toBe('own');
});

it('turns a light to agree with its plate, at the same distance', function (): void {
    $lamp = ['id' => 'lamp', 'name' => 'Lamp', 'kind' => 'spot', 'values' => ['origin' => [100, 150], 'target' => [205, 160]]];
    $scene = matched(['bearing' => bearing(20, 10)], [$lamp]);
    $reading = array_values(array_filter(readings($scene)->all(), fn ($reading): bool => in_array('lamp', $reading->strips, true)))[0];
    $mend = array_values(array_filter($reading->mends, fn (Mend $mend): bool => $mend->key === 'turn the light'))[0];
    $lamp['values'] = [...$lamp['values'], ...$mend->values];
    $after = matched(['bearing' => bearing(20, 10)], [$lamp]);
    expect(readings($after)->all())->toBe([])->and(readings($after)->compass->sights[2]->bearing->angleTo(new Bearing(20, 10)))->toBeLessThan(0.5)
        ->and((new Point(...$mend->values['origin']))->distanceTo(new Point(200, 150)))->toEqualWithDelta(100, 0.2);
});

it('does not compare what is muted or unknown', function (): void {
    expect(readings(matched([]))->all())->toBe([])->and(readings(matched(['bearing' => null]))->compass->sights)->toHaveCount(1);
    $scene = json_decode(matched(['bearing' => bearing(160, 10)])->toJson(), true);
    $scene['strips'][1]['muted'] = true;
    expect(readings(Scene::read($scene, Registry::kinds()))->all())->toBe([]);
});

it('says which mask does nothing, and why', function (): void {
    $scene = json_decode(matched([])->toJson(), true);
    $scene['strips'][1]['masks'] = [['id' => 'm', 'kind' => 'outline', 'on' => 'plate', 'values' => ['path' => []]]];
    $readings = readings(Scene::read($scene, Registry::kinds()))->all();
    expect($readings)->toHaveCount(1)->and($readings[0]->kind)->toBe('mask')->and($readings[0]->seen)->toContain('Heron: This outline encloses nothing yet');
});
