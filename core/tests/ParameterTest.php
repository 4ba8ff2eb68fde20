<?php

declare(strict_types=1);

use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Ramp\Stops;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\KeptRows;
use Aumbrel\Core\Render\Memory;
use Aumbrel\Core\Render\PlaneCache;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\FlatColourValue;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\MaskStopsValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\PictureValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** @return list<Parameter> one of every type */
function everyType(): array
{
    return [
        NumberValue::named('width', 'Width', 'reach', Unit::Pixels, 1, 50, 20), NumberValue::optional('size', 'Size', 'reach', Unit::Pixels, 0, 9, 'none'),
        ChoiceValue::named('law', 'Law', 'reach', ['even', 'linear'], 'linear', ['straight' => 'linear']), ToggleValue::named('on', 'On', 'reach'), PointValue::named('at', 'At', 'reach'),
        LightColourValue::named('colour', 'Colour', 'light', LightColour::kelvin(3200)), FlatColourValue::named('tint', 'Tint', 'light', '#102030'),
        MaskStopsValue::named('stops', 'Stops', 'falloff', Stops::of([0, 1], [1, 0])), PictureValue::named('picture', 'Picture', 'plate'),
    ];
}

it('takes defaults for what is left out, and asks for what has none', function (): void {
    $values = Values::read(everyType(), ['at' => [1, 2], 'picture' => 'a.png'], 'values');
    expect($values->number('width'))->toBe(20.0)->and($values->optionalNumber('size'))->toBeNull()->and($values->text('law'))->toBe('linear')->and($values->toggle('on'))->toBeFalse()
        ->and($values->object('at', Point::class)->toArray())->toBe([1.0, 2.0])->and($values->object('colour', LightColour::class)->kelvin)->toBe(3200.0)->and($values->object('stops', Stops::class)->toArray())->toHaveCount(2);
    expect(fn () => Values::read(everyType(), ['picture' => 'a.png'], 'values'))->toThrow(SceneError::class, 'values.at: is missing');
});

it('writes what it read', function (): void {
    $raw = ['width' => 3, 'size' => 2.5, 'law' => 'even', 'on' => true, 'at' => [4, 5], 'colour' => ['swatch' => '#FFAA00'], 'tint' => '#ABCDEF', 'stops' => [['offset' => 0.5, 'value' => 1, 'midpoint' => 0.2]], 'picture' => 'lamp post (2).png', 'mine' => 1];
    $once = Values::read(everyType(), $raw, 'v')->toArray();
    expect(Values::read(everyType(), $once, 'v')->toArray())->toBe($once)->and($once['colour'])->toBe(['swatch' => '#ffaa00'])->and($once['mine'])->toBe(1);
});

it('refuses wrong values with the field and what was expected', function (string $name, mixed $value, string $says): void {
    expect(fn () => Values::read(everyType(), ['at' => [1, 2], 'picture' => 'a.png', $name => $value], 'values'))->toThrow(SceneError::class, $says);
})->with([
    ['width', 51, 'a number from 1 to 50 px, found 51'], ['width', '20', 'found "20"'], ['width', NAN, 'found NaN'], ['width', INF, 'found infinity'], ['width', null, 'a number'],
    ['size', -1, 'a number from 0 to 9'], ['law', 'cubic', 'one of even, linear'], ['on', 1, 'true or false'], ['at', [1], 'a point'], ['at', [1, NAN], 'a point'], ['at', [2e6, 0], 'a point'],
    ['colour', ['kelvin' => 100], '1000 to 25000'], ['colour', ['swatch' => '#ff0000', 'kelvin' => 3000], 'swatch'], ['colour', '#ff0000', 'swatch'], ['tint', '#12345', 'a colour'],
    ['stops', 'many', 'stops'], ['picture', '/etc/passwd', 'plain name'], ['picture', '..', 'plain name'], ['picture', "a\n.png", 'plain name'],
]);

it('describes each kind fully', function (): void {
    foreach ([...Registry::kinds()->strips, ...Registry::kinds()->masks] as $kind) {
        expect($kind::label())->not->toBe('');
        $names = array_map(fn (Parameter $parameter): string => $parameter->name, $kind::parameters());
        expect(count(array_unique($names)))->toBe(count($names));
        // what a new one is given is taken back by the kind itself
        $placed = [...$kind::placed(new Point(400, 300), 500), ...(in_array('picture', $names, true) ? ['picture' => 'a.png'] : [])];
        expect($kind::from(Values::read($kind::parameters(), $placed, 'values')))->toBeInstanceOf($kind);
        foreach ($kind::parameters() as $parameter) {
            $described = $parameter->describe();
            expect($described['label'])->not->toBe('')->and($described['least'])->toBeLessThanOrEqual($described['most']);
        }
    }
});

it('knows colours', function (): void {
    expect(Rgb::fromHex('#ff8000')->toHex())->toBe('#ff8000')->and(Rgb::fromHex('#000000')->normalised()->largest())->toBe(0.0);
    // black gives no light; a swatch is normalised in linear
    expect(LightColour::swatch('#000000')->linear(6500)->largest())->toBe(0.0)->and(LightColour::swatch('#404040')->linear(6500)->smallest())->toEqualWithDelta(1.0, 1e-12);
    expect(fn () => Rgb::fromHex('orange'))->toThrow(InvalidArgumentException::class);
    // warm light has less blue, the more the warmer
    $blues = array_map(fn (int $kelvin): float => LightColour::kelvin($kelvin)->linear(6500)->blue, [1900, 2700, 3200, 4200, 5600, 6500]);
    $sorted = $blues;
    sort($sorted);
    expect($blues)->toBe($sorted)->and(LightColour::kelvin(12000)->linear(6500)->red)->toBeLessThan(0.9);
});

it('keeps what was used last, within one limit for all that is kept', function (): void {
    $big = static fn (): array => array_fill(0, 100_000, 0.5);
    $empty = memory_get_usage();
    $one = $big();
    $size = memory_get_usage() - $empty;
    unset($one);
    // room for two and a half of these, beside what the tests use
    $memory = new Memory(memory_get_usage() + (int) (2.5 * $size));
    $cache = new PlaneCache($memory);
    $rows = new KeptRows($memory, 'below');
    $filled = [];
    $get = static function (string $name) use ($cache, $big, &$filled): void {
        $cache->get($name, static function () use ($name, $big, &$filled): array {
            $filled[] = $name;

            return $big();
        });
    };
    $get('a');
    $rows->put('b', [['r' => $big()]]);
    $get('a');
    expect($filled)->toBe(['a']);
    $get('c');
    // rows and planes share the limit: the rows were not used for the longest time
    expect($rows->get('b'))->toBeNull()->and($cache->holds('a'))->toBeTrue()->and($cache->holds('c'))->toBeTrue();
    $get('a');
    $get('d');
    expect($filled)->toBe(['a', 'c', 'd'])->and($cache->holds('c'))->toBeFalse()->and($cache->holds('a'))->toBeTrue();
    // what is larger than all of it is handed on, and goes when there is something newer
    $cache->get('huge', static fn (): array => array_fill(0, 400_000, 0.5));
    $rows->put('e', [['r' => [1.0]]]);
    expect($cache->holds('huge'))->toBeFalse()->and($rows->get('e'))->not->toBeNull();
});

it('gives back what has not been used for a while, and keeps what was', function (): void {
    $memory = new Memory(PHP_INT_MAX);
    $memory->put('old', array_fill(0, 100_000, 1.5));
    $memory->put('used', [1.0]);
    usleep(60_000);
    $memory->get('used');
    $before = memory_get_usage();
    expect($memory->giveBack(0.05))->toBe(1)->and($memory->holds('old'))->toBeFalse()->and($memory->holds('used'))->toBeTrue()
        ->and($before - memory_get_usage())->toBeGreaterThan(1_000_000)->and($memory->giveBack(600.0))->toBe(0);
});

it('understands words of older files', function (): void {
    expect(Values::read(everyType(), ['at' => [1, 2], 'picture' => 'a.png', 'law' => 'straight'], 'values')->text('law'))->toBe('linear');
});

it('says of every value what it does in light, and has no words for what is not there', function (): void {
    $names = [];
    foreach ([...Registry::kinds()->strips, ...Aumbrel\Core\Stage\SceneSource::KINDS, ...Registry::kinds()->masks] as $kind) {
        foreach ($kind::parameters() as $parameter) {
            $says = $parameter->says !== '' ? $parameter->says : Aumbrel\Core\Value\Words::of($kind::key(), $parameter->name);
            expect(mb_strlen($says))->toBeGreaterThan(12, "{$kind::key()} {$parameter->name}")->toBeLessThan(130, "{$kind::key()} {$parameter->name}");
            expect($says)->not->toEndWith('.');
            array_push($names, $parameter->name, "{$kind::key()} {$parameter->name}");
        }
    }
    expect(array_values(array_diff(Aumbrel\Core\Value\Words::known(), $names)))->toBe([]);
});

it('understands values under their former names, and writes the present ones', function (): void {
    $read = static fn (array $raw): array => array_filter(Values::read(Aumbrel\Core\Grade\BaseTone::parameters(), $raw, 'values')->toArray(), static fn (string $name): bool => in_array($name, ['whitesHeldAt', 'blacksStartAt', 'whiteOutput', 'blackInput'], true), ARRAY_FILTER_USE_KEY);
    expect($read(['whiteOutput' => 70, 'blackInput' => 12]))->toEqual(['whitesHeldAt' => 70.0, 'blacksStartAt' => 12.0])
        ->and($read(['whiteOutput' => 70, 'whitesHeldAt' => 80]))->toEqual(['whitesHeldAt' => 80.0, 'blacksStartAt' => 0.0]);
});
