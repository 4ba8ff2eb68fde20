<?php

declare(strict_types=1);

use App\Gestures\ChangeStrip;
use App\Http\Requests\LookAt;
use App\Http\Requests\RulesOfWhatCame;
use Illuminate\Support\Facades\Validator;

/* Rules that are left out must not have been able to fail: with and without them a request is refused, or taken, alike. */

/** @return array<string, mixed> a draft as the interface asks for it */
function draftAsked(): array
{
    return [
        'view' => 'v', 'number' => 3, 'draft' => true, 'window' => [0, 0, 1600, 1000], 'scale' => 0.5, 'changes' => ['spot' => ['values' => ['target' => [4, 5]], 'level' => -1]],
        'below' => 'spot', 'solo' => [], 'before' => false, 'snapshot' => null, 'mask' => null, 'over' => false, 'tint' => null, 'form' => null, 'as' => 'colours', 'alone' => null,
    ];
}

it('asks a draft far fewer questions', function (): void {
    $rules = (new LookAt)->rules();
    $asked = RulesOfWhatCame::of($rules, draftAsked());
    expect(count($asked))->toBeLessThan(count($rules) / 2)->and(array_keys($asked))->toContain('view', 'window.*', 'scale', 'changes.*.level', 'below')->not->toContain('changes.*.muted', 'snapshot', 'solo.*');
});

it('refuses and takes the same as all rules do', function (): void {
    mt_srand(11);
    $rules = (new LookAt)->rules();
    $odd = [null, '', 'x', str_repeat('y', 90), -1, 0, 7, 1e9, true, [], [1, 2], [1, 'x'], ['a' => 1], [[1, 2]], ['handle' => 'Size', 'to' => [1, 2]], ['darks' => 3], 'passing'];
    $fields = [...array_keys(draftAsked()), ...array_map(static fn (string $field): string => "changes.spot.{$field}", array_keys(ChangeStrip::fieldRules())), 'changes.other', 'changes.other.level', 'window.2', 'solo.0', 'solo.k', 'changes.spot.at.1', 'changes.spot.pull.to.0'];
    $refused = 0;
    for ($k = 0; $k < 1200; $k++) {
        $came = draftAsked();
        for ($n = mt_rand(1, 3); $n > 0; $n--) {
            $field = $fields[array_rand($fields)];
            if (mt_rand(0, 4) === 0) {
                Illuminate\Support\Arr::forget($came, $field);
            } elseif (! str_contains($field, '*')) {
                data_set($came, $field, $odd[array_rand($odd)]);
            }
        }
        $all = Validator::make($came, $rules)->errors()->toArray();
        expect(Validator::make($came, RulesOfWhatCame::of($rules, $came))->errors()->toArray())->toBe($all, json_encode($came, JSON_PARTIAL_OUTPUT_ON_ERROR) ?: '');
        $refused += (int) ($all !== []);
    }
    expect($refused)->toBeGreaterThan(300)->toBeLessThan(1150);
});

it('keeps what must be there, and what speaks of a field in a list', function (array $rules, array $came, array $kept): void {
    expect(array_keys(RulesOfWhatCame::of($rules, $came)))->toBe($kept);
})->with([
    [['a' => 'required|string', 'b' => 'string', 'c' => ['present', 'array']], [], ['a', 'c']],
    [['a' => 'sometimes|string', 'b' => 'nullable|string'], ['a' => null, 'b' => null], ['a']],
    [['l.*.n' => 'numeric'], ['l' => [['m' => 1], ['n' => 2]]], ['l.*.n']],
    [['l.*.n' => 'numeric'], ['l' => [['m' => 1]]], []],
    [['l.*' => 'numeric'], ['l' => 'no list'], []],
    [['l.*.n' => 'required'], ['l' => []], ['l.*.n']],
    [['o.x.y' => 'string'], ['o' => ['x' => ['y' => '']]], ['o.x.y']],
]);
